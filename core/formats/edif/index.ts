export { writeEdif } from './write';
export { readEdif, type EdifSymbols } from './read';
