import { calcAnswer } from './lib/calcAnswer';

async function readStandardInput(): Promise<string> {
  const chunks: Buffer[] = [];
  for await (const chunk of process.stdin) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks).toString('utf8');
}

/** `corvat calc`: one procedure of the core. Wrong input ends with status 2. */
const { status, out, err } = await calcAnswer(process.argv.slice(2), readStandardInput);
process.stderr.write(err);
process.stdout.write(out);
process.exitCode = status;
