import { expect, it } from 'vitest';
import { PLAIN_DISPLAY } from '../../src/core/text/displaySettings';
import { errorLength } from '../../src/core/text/quantities';
import { saidWhole, speakingAs } from '../../src/server/speakingAs';

const inches = { ...PLAIN_DISPLAY, length: 'in', decimalSign: ',' } as const;

it('two requests at once are each answered in their own units, whatever they wait for', async () => {
  const told = (settings: typeof PLAIN_DISPLAY, waitMs: number) =>
    speakingAs(settings, async () => {
      const said: string[] = [];
      for (let i = 0; i < 3; i += 1) {
        await new Promise((resolve) => setTimeout(resolve, waitMs));
        said.push(errorLength(0.0254));
      }
      return said;
    });
  const [inInches, inMillimetres] = await Promise.all([told(inches, 3), told(PLAIN_DISPLAY, 2)]);
  expect(new Set(inInches)).toEqual(new Set(['1,00 in']));
  expect(new Set(inMillimetres)).toEqual(new Set(['25 mm']));
});

it('a page that is said while it is sent is said by the settings of its request', async () => {
  const late = (type: string) =>
    new Response(
      new ReadableStream({
        async pull(controller) {
          await Promise.resolve();
          controller.enqueue(new TextEncoder().encode(errorLength(0.0254)));
          controller.close();
        },
      }),
      { headers: { 'content-type': type } },
    );
  const page = await speakingAs(inches, () => saidWhole(late('text/html')));
  expect(await page.text()).toBe('1,00 in');
});
