export { writeEdif } from './write';
export { readEdif } from './read';
