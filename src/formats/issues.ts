import type { z } from 'zod';

type Issue = z.core.$ZodIssue;

/** The path of a field as a reader writes it: runs[2].xM. */
export function issuePath(issue: Issue): string {
  let text = '';
  for (const part of issue.path) {
    if (typeof part === 'number') text += `[${part}]`;
    else text += text === '' ? String(part) : `.${String(part)}`;
  }
  return text === '' ? '(input)' : text;
}

/** One line that names the field and says what was expected there. */
export function describeIssue(issue: Issue): string {
  if (issue.code === 'unrecognized_keys') {
    const [key = ''] = issue.keys;
    return `${issuePath({ ...issue, path: [...issue.path, key] })}: there is no such field`;
  }
  const message = issue.message.replace(/^Invalid input: /, '').replace(/\s+/g, ' ');
  return `${issuePath(issue)}: ${message}`;
}
