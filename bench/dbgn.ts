import { readFileSync } from 'node:fs';
import { readModels } from '../core/spice';
const r = readModels(readFileSync(process.argv[2]!, 'utf8'), 'x');
if (r.ok) for (const m of r.value.models) console.log(m.name, JSON.stringify(m.nodes));
