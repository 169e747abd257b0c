export { csvCell, csvRow, writePinCsv } from './csv';
export { fileName } from './file-name';
export { unitSvg, xmlText } from './svg';
export { readEdif, writeEdif } from './edif';
