import { expect, it } from 'vitest';
import { textFile } from '../../src/server/textFile';

it('a name that somebody typed is no HTML in a Markdown file', async () => {
  const text = '# Did it help?\n\n- Before: <img src=x onerror=alert(1)>, 9 runs\n\n> careful';
  expect(await textFile('did-it-help', 'md', text).text()).toBe(text.replace('<img', '&lt;img'));
  expect(await textFile('runs', 'csv', 'note\n<b>\n').text()).toBe('note\n<b>\n');
});
