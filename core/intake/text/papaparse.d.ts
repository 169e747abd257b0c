/** What the core uses of Papa Parse, without the browser and Node types that the full declaration pulls in. */
export interface ParseError {
  type: string;
  code: string;
  message: string;
  row?: number;
}
export interface ParseResult<T> {
  data: T[];
  errors: ParseError[];
}
declare const Papa: {
  parse<T>(text: string, config: { delimiter: string; quoteChar?: string; skipEmptyLines?: boolean }): ParseResult<T>;
};
export default Papa;
