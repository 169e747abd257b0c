import { sayProblem, type Problem } from '../core/part';

export interface Output {
  json: boolean;
}

/** Data on stdout: the one JSON document, or the lines for a person. */
export function print({ json }: Output, document: unknown, lines: () => string[]): void {
  process.stdout.write(
    json
      ? `${JSON.stringify(document, null, 2)}\n`
      : lines()
          .map((l) => `${l}\n`)
          .join(''),
  );
}

/** Messages on stderr, one line each. */
export const tell = (message: string): void => void process.stderr.write(`${message}\n`);

export const tellProblems = (problems: readonly Problem[]): void => problems.forEach((p) => tell(sayProblem(p)));

/** A problem as the contract has it: its place and its sentence, the file left out. */
export const problemJson = ({ at, ...rest }: Problem) => ({
  ...(at?.line === undefined ? {} : { line: at.line }),
  ...(at?.page === undefined ? {} : { page: at.page }),
  message: sayProblem({ ...rest }),
});

/** Columns as wide as their longest cell. */
export function table(rows: readonly (readonly string[])[]): string[] {
  const widths = rows.reduce<number[]>((w, row) => row.map((c, i) => Math.max(w[i] ?? 0, c.length)), []);
  return rows.map((row) =>
    row
      .map((c, i) => (i === row.length - 1 ? c : c.padEnd(widths[i]!)))
      .join('  ')
      .trimEnd(),
  );
}
