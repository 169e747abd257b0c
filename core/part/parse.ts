import type { z } from 'zod';
import { migrate, schemaOf } from './migrations';
import { partSchema, SCHEMA_VERSION, type Part } from './part';
import { ok, problem, refuse, sayProblem, type Problem, type Result } from './problem';

/** Reads a part from its file's text; every fault is named with its path, what it is and what was expected. */
export function safeParsePart(text: string, file?: string): Result<Part> {
  const json = parseJson(text, file);
  return json.ok ? safePartFromJson(json.value, file) : json;
}

/** The throwing twin of `safeParsePart`, for text that this program wrote itself. */
export function parsePart(text: string): Part {
  const result = safeParsePart(text);
  if (!result.ok) throw new Error(result.problems.map(sayProblem).join(' '));
  return result.value;
}

function safePartFromJson(json: unknown, file?: string): Result<Part> {
  if (typeof json !== 'object' || json === null || Array.isArray(json))
    return refuse(problem('part-shape', { path: 'the file', expected: 'expected one part object' }, { file }));
  const raw = json as Record<string, unknown>;
  if (schemaOf(raw) > SCHEMA_VERSION) return refuse(problem('part-newer', { schema: schemaOf(raw), known: SCHEMA_VERSION }, { file }));
  const parsed = partSchema.safeParse(migrate(raw));
  if (!parsed.success) return refuse(...shapeProblems(parsed.error, 'part-shape', file));
  const broken = referenceProblems(parsed.data, file);
  return broken.length > 0 ? refuse(...broken) : ok(parsed.data);
}

export function parseJson(text: string, file?: string): Result<unknown> {
  try {
    return ok(JSON.parse(text.replace(/^\uFEFF/, '')));
  } catch (error) {
    return refuse(problem('json-broken', { detail: (error as Error).message }, { file, line: lineOf(text, error) }));
  }
}

/** The engine names a position in some failures and a line in others; both become a line. */
function lineOf(text: string, error: unknown): number | undefined {
  const message = (error as Error).message;
  const position = /position (\d+)/.exec(message)?.[1];
  return position === undefined ? undefined : text.slice(0, Number(position)).split('\n').length;
}

export function shapeProblems(error: z.ZodError, code: 'part-shape' | 'rules-shape', file?: string): Problem[] {
  return error.issues.slice(0, 20).map((issue) => {
    const path = issue.path.map((step) => (typeof step === 'number' ? `[${step}]` : `.${String(step)}`)).join('');
    const where = path.replace(/^\./, '') || 'the file';
    return problem(code, { path: where, expected: issue.message.replace(/^Invalid input: /, '') }, { file, path: where });
  });
}

/** Ids that stand twice and names of things that are not there: a part with these cannot be edited safely. */
function referenceProblems(part: Part, file?: string): Problem[] {
  const found: Problem[] = [];
  const ids = (what: string, path: string, list: { id: string }[]) => {
    const seen = new Set<string>();
    for (const { id } of list) {
      if (seen.has(id)) found.push(problem('part-id-twice', { path, what, id }, { file, path }));
      seen.add(id);
    }
    return seen;
  };
  const pins = ids('pin', 'pins', part.pins);
  const drawings = ids('drawing', 'drawings', part.drawings);
  ids('unit', 'units', part.units);
  ids('package', 'packages', part.packages);
  ids('model', 'models', part.models);
  const missing = (path: string, what: string, id: string) => found.push(problem('part-reference', { path, what, id }, { file, path }));
  const ports = new Map(part.drawings.map((d) => [d.id, ids('port', `drawings.${d.id}.ports`, d.ports)]));
  part.units.forEach((unit, i) => {
    if (!drawings.has(unit.drawing)) missing(`units[${i}].drawing`, 'the drawing', unit.drawing);
    for (const [port, pin] of Object.entries(unit.binding)) {
      if (!pins.has(pin)) missing(`units[${i}].binding`, 'the pin', pin);
      if (ports.get(unit.drawing)?.has(port) === false) missing(`units[${i}].binding`, 'the port', port);
    }
  });
  return found;
}
