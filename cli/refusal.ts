import { sayProblem, type Problem, type Result } from '../core/part';

/** An input that is refused or a check that fails: one line on stderr and the exit code. */
export class Refusal extends Error {
  constructor(
    message: string,
    readonly exitCode: 1 | 2 = 1,
  ) {
    super(message);
  }
}

/** The value of a result, or a refusal that says its first problem and how many more there are. */
export function must<T>(result: Result<T>, file?: string): T {
  if (result.ok) return result.value;
  throw refusalOf(result.problems, file);
}

export function refusalOf(problems: readonly Problem[], file?: string): Refusal {
  const [first, ...rest] = problems;
  const more = rest.length > 0 ? ` (and ${rest.length} more)` : '';
  const placed = first!.at?.file === undefined && file !== undefined ? { ...first!, at: { ...first!.at, file } } : first!;
  // Formats that are not read yet are wrong usage of this version, not a fault of the file.
  return new Refusal(sayProblem(placed) + more, first!.code === 'input-format' ? 2 : 1);
}
