import { packageIn } from '../table/headings';

/** A part's number: capitals and figures, at least one of each, with what hyphens and slashes add. */
const NUMBER = /(?<![\w.-])[A-Z]{1,6}-?\d[A-Z0-9]*(?:[-/][A-Z0-9]+)*(?![\w])/g;

/** Words of that form which name a standard, a bus, a grade or a quantity. */
const WORDS =
  /^(?:USB|I2C|I2S|SPI|UART|CAN|LIN|RS|TIA|EIA|IEEE|IEC|ISO|EN|AEC|JESD|MO|MIL|IPC|PCIE?|LP?DDR|GDDR|SDRAM|SHA|AES|CRC|MPEG|JPEG|H|Q|MSL|IP|UL|VDE|ROHS|BT|IPV|CAT|AN|FIPS|ETSI|SMB|PMB|MIPI|CSI|DSI|HDMI|DP|SD|MMC|EMMC|UFS|SATA|SAS|T|E|V|X|M)-?\d[\d.-]*[A-Z]?$/;

/** The numbers of parts in a text, as printed; standards, buses and packages are left out. */
export function partNumbersIn(text: string): string[] {
  return [...text.matchAll(NUMBER)]
    .flatMap((m) => apart(m[0]))
    .filter((n) => /\d\d/.test(n) && !WORDS.test(n) && packageIn(n) === undefined);
}

/** `TF6412A/TF6412B` are two; what stands behind a number for its package is no part of it. */
function apart(found: string): string[] {
  const parts = found.split('/');
  if (parts.length > 1 && parts.every((p) => /^[A-Z].*\d\d/.test(p))) return parts.flatMap(apart);
  const cut = found.lastIndexOf('-');
  return [cut > 0 && packageIn(found.slice(cut + 1)) !== undefined ? found.slice(0, cut) : found];
}
