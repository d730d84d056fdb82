import { z } from 'zod';
import { catalog } from '../src/core/catalog';
import { describeIssue } from '../src/formats/issues';

/** `corvat calc`: one procedure of the core, JSON in and JSON out. Wrong input ends with status 2. */
const refuse = (sentence: string): never => {
  process.stderr.write(`${sentence}\n`);
  process.exit(2);
};

async function readStandardInput(): Promise<string> {
  const chunks: Buffer[] = [];
  for await (const chunk of process.stdin) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks).toString('utf8');
}

function parseJson(text: string): unknown {
  if (text.trim() === '') return refuse('(input): expected JSON on standard input, found nothing');
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    return refuse(`(input): expected JSON: ${String((error as Error).message).split('\n')[0]}`);
  }
}

const [name, option] = process.argv.slice(2);
if (name === undefined || name === '--list') {
  for (const { name: known, summary } of catalog) console.log(`${known.padEnd(14)} ${summary}`);
} else {
  const procedure = catalog.find((candidate) => candidate.name === name);
  if (procedure === undefined) {
    refuse(`${name}: no such procedure; there are ${catalog.map((p) => p.name).join(', ')}`);
  } else if (option === '--schema') {
    console.log(JSON.stringify(z.toJSONSchema(procedure.input, { io: 'input' }), null, 2));
  } else if (option !== undefined) {
    refuse(`${option}: no such option; there is --schema`);
  } else {
    const input = procedure.input.safeParse(parseJson(await readStandardInput()));
    const issue = input.success ? undefined : input.error.issues[0];
    if (issue !== undefined) refuse(describeIssue(issue));
    process.stdout.write(`${JSON.stringify(procedure.run(input.data))}\n`);
  }
}
