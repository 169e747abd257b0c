const IS_WIDE = /[\uff01-\uff5e\u3000]/;

/** Letters, figures and signs of full width, as East Asian texts have them, as those of usual width: `ＶＤＤ` is VDD (Unicode, UAX #11). */
export const narrow = (text: string): string =>
  IS_WIDE.test(text)
    ? text.replace(/[\uff01-\uff5e]/g, (c) => String.fromCharCode(c.charCodeAt(0) - 0xfee0)).replace(/\u3000/g, ' ')
    : text;
