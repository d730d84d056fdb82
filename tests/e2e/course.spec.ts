import { expect, open, reload, test, unfold } from './corvat';

const sentences = (page: import('@playwright/test').Page) =>
  page.getByRole('list', { name: 'Steps of the route' }).getByRole('listitem');

test('a route is edited by keyboard: added, moved, doubled, removed, undone, redone', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  await page.getByRole('link', { name: 'Pond and back' }).click();
  await expect(sentences(page)).toHaveCount(3);
  await page.getByRole('button', { name: 'Turn', exact: true }).click();
  await expect(sentences(page)).toHaveCount(4);
  await page.getByRole('button', { name: 'Move step 4', exact: true }).focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(page.getByTestId('step-3')).toContainText('Turn');
  await page.getByRole('button', { name: 'Duplicate step 3', exact: true }).click();
  await expect(sentences(page)).toHaveCount(5);
  await page.getByRole('button', { name: 'Remove step 4', exact: true }).click();
  await expect(sentences(page)).toHaveCount(4);
  for (let i = 0; i < 4; i += 1) await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sentences(page)).toHaveCount(3);
  await expect(page.getByTestId('saved-state')).toHaveText('version 1');
  await page.locator('h1').click();
  await page.keyboard.press('Control+y');
  await expect(sentences(page)).toHaveCount(4);
  // What is not saved is still there after a reload.
  await reload(page);
  await expect(sentences(page)).toHaveCount(4);
  await page.getByRole('button', { name: 'Undo' }).click();
});

test('the start moves by keys and by dragging, and steps are dragged', async ({ corvat: page }) => {
  await open(page, '/course');
  const x = page.getByLabel('Start x');
  const before = Number(await x.inputValue());
  const start = page.getByRole('button', { name: /^Start of the robot/ });
  await start.focus();
  await page.keyboard.press('ArrowRight');
  await expect(x).toHaveValue(String(before + 0.5));
  const box = await start.boundingBox();
  if (box === null) throw new Error('no start');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 3);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 3, { steps: 5 });
  await page.mouse.up();
  expect(Number(await x.inputValue())).toBeGreaterThan(before + 5);

  await page.getByRole('button', { name: 'Move step 1', exact: true }).hover();
  await page.mouse.down();
  const target = await page.getByRole('button', { name: 'Move step 3', exact: true }).boundingBox();
  await page.mouse.move((target?.x ?? 0) + 10, (target?.y ?? 0) + 30, { steps: 12 });
  await page.mouse.up();
  await expect(page.getByTestId('step-1')).toContainText('Turn');
});

test('steps are put into a part, moved with it and out of it, and told by their numbers', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  await page.getByRole('link', { name: 'Pond and back' }).click();
  await page.getByRole('button', { name: 'Part', exact: true }).click();
  const name = page.getByLabel('Name of the part');
  await name.fill('');
  await expect(page.getByRole('button', { name: 'Save version…' })).toBeDisabled();
  await name.fill('Back home');
  await expect(page.getByText('No steps in it yet')).toBeVisible();
  await page.getByRole('button', { name: 'Drive', exact: true }).click();
  await page.getByRole('button', { name: 'Turn', exact: true }).click();
  const within = page.getByRole('list', { name: 'Steps within step 4' }).getByRole('listitem');
  await expect(within).toHaveCount(2);
  await expect(page.getByLabel('Where to add')).toHaveValue('Add after step 4.2');
  // The drive before it goes into it by keys, the turn out of it.
  await page.getByRole('button', { name: 'Move step 3', exact: true }).focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(page.getByTestId('step-3.1').getByLabel('Distance')).toHaveValue('120');
  await page.getByRole('button', { name: 'Move step 3.3', exact: true }).focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(page.getByTestId('step-4')).toContainText('Turn');
  await page.getByRole('button', { name: 'Duplicate step 3', exact: true }).click();
  await expect(page.getByLabel('Name of the part')).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Save version…' }).click();
  const differences = page.getByRole('list', { name: 'Differences' });
  await expect(differences).toContainText('Step 3, newBack home:');
  await expect(differences).toContainText('Step 3.1, movedStep 3');
  await page.keyboard.press('Escape');
  while (await page.getByRole('button', { name: 'Undo' }).isEnabled()) {
    await page.getByRole('button', { name: 'Undo' }).click();
  }
});

test('a decision has a list for either answer, what is watched takes no wheels, and the card asks in the sensor’s own numbers', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  await page.getByRole('link', { name: 'Pond and back' }).click();
  const add = (name: string) => page.getByRole('button', { name, exact: true }).click();
  await add('Decide');
  const where = page.getByLabel('Where to add');
  await where.selectOption('Add into step 4b, if not');
  await add('Drive');
  await expect(page.getByTestId('step-4b.1')).toContainText('Drive');
  // On the way as a rule, passed by once the other answer is usual.
  await expect(page.getByTestId('step-4b.1')).not.toContainText('if it is come to');
  await page.getByTestId('step-4').getByRole('radio', { name: 'so', exact: true }).check();
  await expect(page.getByTestId('step-4b.1')).toContainText('if it is come to');
  await expect(page.getByTestId('step-4')).toContainText('would find it the other way here');
  await page.getByRole('button', { name: 'Mark that as usual' }).click();
  await expect(page.getByTestId('step-4')).not.toContainText('the other way here');
  // By keys from one list into the other, and out.
  await page.getByRole('button', { name: 'Move step 4b.1', exact: true }).focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(page.getByTestId('step-4a.1')).toContainText('Drive');
  await where.selectOption('Add after step 4');
  await add('Meanwhile');
  await expect(where).toHaveValue('Add into step 5b, each time that it begins to be so');
  await expect(page.getByRole('button', { name: 'Drive', exact: true })).toBeDisabled();
  await add('Mission');
  await expect(page.getByTestId('step-5b.1')).toContainText('on the way, without a stop');
  await page.getByRole('button', { name: 'Save version…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox').first().fill('decides');
  await dialog.getByRole('button', { name: /^Save/ }).click();
  await expect(dialog).toHaveCount(0);
  await page.getByRole('link', { name: 'Step card' }).click();
  const card = page.getByRole('table');
  await expect(card).toContainText('It asks: D3 on port D shows 20 cm or less');
  await expect(card).toContainText('if so: Drive');
  await expect(card).toContainText('ends as soon as D3 on port D shows 22 cm or more');
});

test('a simulation can be cancelled, and starts by itself after a change', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  await page.getByRole('button', { name: /^Simulate 400 runs/ }).click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: /^Simulate 400 runs/ })).toBeVisible();
  await page.getByRole('button', { name: /^Simulate 400 runs/ }).click();
  await expect(page.getByRole('region', { name: 'Forecast' })).toBeVisible({ timeout: 30_000 });
  const sentence = page.getByTestId('course-sentence');
  await expect(sentence).toContainText(/All missions work in \d+ of 100 runs; between \d+ and \d+/);
  // Half a metre short of everything: nobody has to press anything to be told.
  await page.getByTestId('step-1').getByLabel('Distance').fill('20');
  await expect(sentence).toContainText('All missions work in 0 of 100 runs', { timeout: 30_000 });
  await expect(page.getByTestId('measure-first')).toBeVisible();
});

test('what was simulated stays its forecast when it is saved', async ({ corvat: page }) => {
  await open(page, '/course');
  await page.getByTestId('step-1').getByLabel('Distance').fill('61');
  await page.getByRole('button', { name: /^Simulate 400 runs/ }).click();
  const forecast = page.getByRole('region', { name: 'Forecast' });
  await expect(forecast).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('button', { name: /^Simulate 400 runs/ })).toBeVisible();
  const said = (await forecast.textContent()) ?? '';
  await page.getByRole('button', { name: /^Save version/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox').first().fill('a centimetre further');
  await dialog.getByRole('button', { name: /^Save/ }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByTestId('saved-state')).toHaveText(/^version \d+$/);
  await expect(page.getByText('computed anew')).toHaveCount(0);
  await expect(forecast).toHaveText(said);
});

test('versions are compared line by line, and the card prints the steps', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  await page.getByRole('button', { name: 'Versions…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('From').selectOption({ index: 3 });
  await expect(dialog.locator('li').filter({ hasText: 'Drive' }).first()).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('link', { name: 'Step card' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'Round by the barrel, version',
  );
  await expect(page.getByRole('table')).toContainText('Work the seed drawer');
  // Two steps by themselves, from where the plan comes to them.
  await page.getByLabel('First step').selectOption('2');
  await page.getByLabel('Last step').selectOption('3');
  await page.getByRole('button', { name: 'Show these alone' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('steps 2 to 3 alone');
  await expect(page.getByRole('table').getByRole('row')).toHaveCount(3);
  // Where the drive before them ends, as it was saved last.
  await expect(
    page.getByText(/Place the robot with its axle (?!20)\d+ cm along the home edge and 22 cm/),
  ).toBeVisible();
});

test('one press tells what the forecast and the card rest on', async ({ corvat: page }) => {
  await open(page, '/course');
  const fold = page.getByTestId('rests-on');
  await fold.locator('summary').click();
  const rests = page.getByRole('table', { name: 'What it rests on' });
  await expect(rests.getByRole('row', { name: /^turns / })).toContainText(
    'measured 2026-11-12, 16 trials',
  );
  await expect(rests.getByRole('row', { name: /^wheel size/ })).toContainText(
    'measured 2026-11-19, 9 trials',
  );
  const track = rests.getByRole('row', { name: /^track width/ });
  await expect(track).toContainText('132.0 mm');
  await expect(track.getByRole('link', { name: 'a guess' })).toHaveAttribute(
    'href',
    /\/bench\/square\?robot=/,
  );
  await page.getByRole('link', { name: 'Step card' }).click();
  await expect(page.getByTestId('rests-on')).toContainText('the rest are guesses');
  // What is to be minded stands on the card, and more of it for what nobody has run.
  await open(page, '/course/card?version=01DEMV00000000000000000003');
  await expect(page.getByTestId('care')).toHaveText(/^Hands, hair and cables away/);
  await open(page, '/course/card?version=01DEMV00000000000000000009');
  await expect(page.getByTestId('care')).toHaveText(/^Nobody has run this yet: .* floor/);
});

test('motor degrees, distance and heading stand side by side; a record changed elsewhere is not lost', async ({
  corvat: page,
  context,
}) => {
  await open(page, '/robot');
  await page.getByLabel('Motor', { exact: true }).fill('360');
  // One turn of a 56 mm wheel: π · 56 mm = 17.6 cm; on a 132 mm track 152.7°.
  await expect(page.getByLabel('Drives straight')).toHaveValue('17.6');
  await expect(page.getByLabel('Robot turns on the spot')).toHaveValue('152.7');
  // The same each second, beside the fastest that it drives.
  await page.getByRole('radio', { name: 'speeds' }).check({ force: true });
  await expect(page.getByTestId('conversion-sentence')).toContainText('360° a second');
  await page.getByLabel('Drives straight').fill('90');
  await expect(page.getByText(/^Faster than it drives: its top speed is 55 cm\/s/)).toBeVisible();

  const other = await context.newPage();
  await open(other, '/robot');
  const save = async (tab: typeof page, track: string) => {
    await unfold(tab, 'Wheels');
    await tab.getByLabel('Track width').fill(track);
    await tab.getByRole('button', { name: 'Save the robot' }).click();
  };
  await save(other, '133');
  await expect(other.getByText('Saved.')).toBeVisible();
  await save(page, '134');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('133 mm');
  await dialog.getByRole('button', { name: 'Take all of theirs' }).click();
  await expect(page.getByLabel('Track width')).toBeVisible();
  await expect(page.getByLabel('Track width')).toHaveValue('133');
});
