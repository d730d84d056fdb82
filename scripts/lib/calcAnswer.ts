import { z } from 'zod';
import { routeSchema } from '../../src/core/course/route';
import { catalog } from '../../src/core/procedures/catalog';
import { describeIssue } from '../../src/formats/issues';
import { readJson } from '../../src/formats/jsonText';

/** What `corvat calc` says, and how it ends: 2 for wrong input. */
export interface CalcAnswer {
  status: 0 | 2;
  out: string;
  err: string;
}

const said = (out: string): CalcAnswer => ({ status: 0, out: `${out}\n`, err: '' });
/** What is said in several places stands once: a route within routes would make it endless. */
const schemaText = (schema: z.ZodType): string =>
  JSON.stringify(z.toJSONSchema(schema, { io: 'input', reused: 'ref' }), null, 2);

const refused = (sentence: string): CalcAnswer => ({ status: 2, out: '', err: `${sentence}\n` });

function parsed(text: string): { value: unknown } | { problem: string } {
  if (text.trim() === '') {
    return { problem: '(input): expected JSON on standard input, found nothing' };
  }
  try {
    return { value: readJson(text) };
  } catch (error) {
    const [line] = String((error as Error).message).split('\n');
    return { problem: `(input): expected JSON: ${line}` };
  }
}

/**
 * One procedure of the core: JSON in and JSON out.
 *
 * @param args name of the procedure or --list; --schema for what it takes
 * @param readInput the JSON, read only where it is needed
 */
export async function calcAnswer(
  [name, option]: readonly string[],
  readInput: () => Promise<string>,
): Promise<CalcAnswer> {
  if (name === undefined || name === '--list') {
    return said(
      catalog.map(({ name: known, summary }) => `${known.padEnd(14)} ${summary}`).join('\n'),
    );
  }
  if (name === 'route' && option === '--schema') return said(schemaText(routeSchema));
  const procedure = catalog.find((candidate) => candidate.name === name);
  if (procedure === undefined) {
    return refused(
      `${name}: no such procedure; there are ${catalog.map((one) => one.name).join(', ')}`,
    );
  }
  if (option === '--schema') {
    return said(schemaText(procedure.input));
  }
  if (option !== undefined) return refused(`${option}: no such option; there is --schema`);
  const json = parsed(await readInput());
  if ('problem' in json) return refused(json.problem);
  const input = procedure.input.safeParse(json.value);
  const issue = input.success ? undefined : input.error.issues[0];
  return issue === undefined
    ? said(JSON.stringify(procedure.run(input.data)))
    : refused(describeIssue(issue));
}
