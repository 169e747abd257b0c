/**
 * Encrypted text in a model file. Makers seal a subcircuit's body and leave its header readable; what lies between the
 * marks is no SPICE text and must neither be read as cards nor reported line by line.
 */
const OPENS = /^[\s*.$]*\w*ENC\w*[_ -]?(?:START|BEGIN)\w*\s*$|^[\s*.$]*(?:START|BEGIN)[_ -]?ENC\w*/i;
const CLOSES = /^[\s*.$]*\w*ENC\w*[_ -]?(?:FINISH|END|STOP)\w*\s*$|^[\s*.$]*(?:FINISH|END|STOP)[_ -]?ENC\w*/i;
/** A run of base 64 or hexadecimal digits that no card and no node name is. */
const CIPHER = /^\+?\s*(?=\S*\d)(?=\S*[A-Za-z])[A-Za-z0-9+/=]{32,}$/;

/** Tells line by line what is sealed; keeps no more than whether it stands between two marks. */
export function sealReader(): (line: string) => boolean {
  let isInside = false;
  return (line) => {
    if (isInside) {
      if (CLOSES.test(line)) isInside = false;
      return true;
    }
    if (OPENS.test(line)) return (isInside = true);
    return line.length >= 32 && CIPHER.test(line.trim());
  };
}
