import type { Page } from '@playwright/test';

/** What a page says, in its fields too, but what people have typed and what files are to hold. */
const textOf = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const folded = [...document.querySelectorAll('details')].filter(({ open }) => !open);
    for (const details of folded) details.open = true;
    const fields = [...document.querySelectorAll<HTMLInputElement>('input[type=text]')].map(
      (input) => input.value,
    );
    const labels = [...document.querySelectorAll('[aria-label]')].map((one) =>
      one.getAttribute('aria-label'),
    );
    // In what programs count, and what people called their versions, is theirs to choose.
    const theirs = document.querySelectorAll<HTMLElement>('option, [data-own-units]');
    const choices = [...theirs].map((one) => one.innerText).filter((one) => one !== '');
    choices.sort((a, b) => b.length - a.length);
    const text = choices.reduce(
      (rest, choice) => rest.replaceAll(choice, ''),
      document.body.innerText,
    );
    for (const details of folded) details.open = false;
    return [text, ...fields, ...labels].join(' ');
  });

/** Metric words, but where a label has to name all units. */
const METRIC = /(?<![\w_])(mm|cm|m\/s|metres?|millimetres?|centimetres?)(?![\w_])/;
const POINT = /(?<![\d.])\d+\.\d+(?![\d.])/;

/** What a page says in metres or with a decimal point. */
export async function saidInMetres(page: Page): Promise<string[]> {
  const text = await textOf(page);
  return [METRIC, POINT].flatMap((pattern) => {
    const at = pattern.exec(text);
    const from = Math.max(0, (at?.index ?? 0) - 40);
    return at === null ? [] : [`${page.url()}: …${text.slice(from, at.index + 30)}…`];
  });
}
