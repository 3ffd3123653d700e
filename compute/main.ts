import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { COMPUTE_KINDS } from './kinds';
import type { FieldError } from './kind';

const USAGE = 'Usage: npm run -s compute -- KIND < request.json   (or --list, KIND --schema, KIND --example)';

function print(value: unknown): void {
  process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);
}

function refuse(message: string, fields: readonly FieldError[] = []): never {
  print({ error: { message, fields } });
  process.exit(2);
}

function readRequest(): unknown {
  const text = readFileSync(0, 'utf8');
  try {
    return JSON.parse(text);
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    return refuse(`The request is not JSON: ${detail}`, [{ path: '', message: detail }]);
  }
}

function main(args: readonly string[]): void {
  const [first, second] = args;
  if (first === '--list') return print(COMPUTE_KINDS.map(({ name, summary }) => ({ name, summary })));
  const kind = COMPUTE_KINDS.find((candidate) => candidate.name === first);
  if (!kind)
    refuse(`${first ? `There is no kind "${first}".` : 'Which kind?'} ${USAGE}`, [{ path: 'KIND', message: USAGE }]);
  if (second === '--schema') return print(z.toJSONSchema(kind.schema, { io: 'input' }));
  if (second === '--example') return print(kind.example);
  if (second !== undefined) refuse(`There is no option "${second}". ${USAGE}`);
  const result = kind.run(readRequest());
  if (!result.ok) {
    const names = result.fields.map(({ path, message }) => (path ? `${path}: ${message}` : message));
    refuse(`The request cannot be computed. ${names.join('; ')}`, result.fields);
  }
  print(result.value);
}

main(process.argv.slice(2));
