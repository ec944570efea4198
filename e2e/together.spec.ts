import { DEMO_JOB, allSaved, expect, field, newContext, startServer, surface, test } from './house';

test('a second browser sees a measure without being asked (how soon is in the benches), and a film chosen for many at once', async ({
  browser,
  as,
  baseURL,
}) => {
  const [mine, theirs] = [
    await (await newContext(browser, baseURL ?? '')).newPage(),
    await (await newContext(browser, baseURL ?? '')).newPage(),
  ];
  await as(mine, 'Wren');
  await as(theirs, 'Finch');
  await mine.goto(`${DEMO_JOB}/survey/${surface(2)}`);
  await theirs.goto(`${DEMO_JOB}/survey/${surface(2)}`);
  await expect(field(theirs, 'Width at the top')).toHaveValue('1180');
  await field(mine, 'Width at the top').fill('1184');
  await field(mine, 'Width at the top').press('Enter');
  await expect(field(theirs, 'Width at the top')).toHaveValue('1184');

  await mine.keyboard.press('Alt+2');
  for (const tag of ['SW3', 'SW5', 'PT2'])
    await mine
      .getByRole('listbox', { name: 'Surfaces' })
      .getByRole('option', { name: tag })
      .click({ modifiers: ['Control'] });
  await mine.getByRole('radio', { name: /^neutral 35/ }).check();
  await mine.getByRole('button', { name: 'Use neutral 35 on 3 marked surfaces anyway' }).click();
  await theirs.goto(`${DEMO_JOB}/film/${surface(5)}`);
  await expect(theirs.getByText('room side, cut and fitted as trim in place')).toBeVisible();
  await allSaved(mine);
  await mine.keyboard.press('Control+z');
  await expect(theirs.getByText('No film yet.')).toBeVisible();
});

test('the same field changed by two people: both values are shown and one chooses', async ({
  browser,
  as,
  baseURL,
}) => {
  const context = await newContext(browser, baseURL ?? '');
  const page = await context.newPage();
  await as(page, 'Wren');
  await page.goto(`${DEMO_JOB}/survey/${surface(5)}`);
  await expect(field(page, 'Width at the top')).toHaveValue('1179');
  await page.route('**/api/events**', (route) => route.abort());
  await page.reload();
  await expect(field(page, 'Width at the top')).toHaveValue('1179');
  const measureId = '0199b9a6-0008-7000-8000-000000000096';
  const answer = await page.request.patch(
    `${baseURL ?? ''}${DEMO_JOB.replace('/jobs', '/api/jobs')}/rows/measure/${measureId}`,
    {
      headers: { 'If-Match': '"1"' },
      data: { who: 'Finch', fields: { value_nm: 1_190_000_000, text: '1190' } },
    },
  );
  expect(answer.status()).toBe(200);
  await field(page, 'Width at the top').fill('1175');
  await field(page, 'Width at the top').press('Enter');
  const box = page.getByRole('alertdialog', { name: 'Finch changed this too' });
  await expect(box.getByRole('row', { name: /value/ })).toContainText('1175 mm');
  await expect(box.getByRole('row', { name: /value/ })).toContainText('1190 mm');
  await box.getByRole('button', { name: 'Use mine' }).click();
  await expect(field(page, 'Width at the top')).toHaveValue('1175');
  await allSaved(page);
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await page.reload();
  await expect(field(page, 'Width at the top')).toHaveValue('1175');
});

test('undo is refused with the reason when someone else changed the same thing since', async ({
  page,
  as,
  baseURL,
}) => {
  await as(page, 'Wren');
  await page.goto(`${DEMO_JOB}/survey/${surface(9)}`);
  await field(page, 'Width at the top').fill('944');
  await field(page, 'Width at the top').press('Tab');
  await allSaved(page);
  const at = `${baseURL ?? ''}${DEMO_JOB.replace('/jobs', '/api/jobs')}/rows/measure/0199b9a6-0008-7000-8000-00000000010e`;
  expect(
    (
      await page.request.patch(at, {
        headers: { 'If-Match': '"2"' },
        data: { who: 'Finch', fields: { value_nm: 946_000_000, text: '946' } },
      })
    ).status(),
  ).toBe(200);
  await expect(field(page, 'Width at the top')).toHaveValue('946');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByText('Not undone: Finch changed it since.')).toBeVisible();
  await expect(field(page, 'Width at the top')).toHaveValue('946');
});

test('server gone while typing: the page says so, keeps everything through a reload of the job, and sends it when the server returns', async ({
  browser,
  as,
}) => {
  const server = await startServer({ isDemo: true });
  const page = await (await newContext(browser, server.address)).newPage();
  await as(page, 'Wren');
  await page.goto(`${DEMO_JOB}/survey/${surface(2)}`);
  await expect(field(page, 'Width at the top')).toHaveValue('1180');
  server.process.kill('SIGKILL');
  await new Promise((done) => server.process.once('exit', done));
  await field(page, 'Width at the top').fill('1182');
  await field(page, 'Width at the top').press('Enter');
  await field(page, 'Width in the middle').fill('1183');
  await field(page, 'Width in the middle').press('Enter');
  await field(page, 'Width at the bottom').fill('about');
  await expect(
    page.getByText(/Not saved yet: the server does not answer\. 2 changes are kept/),
  ).toBeVisible();
  await expect(field(page, 'Width at the top')).toHaveValue('1182');
  const again = await startServer({ folder: server.folder, port: Number(new URL(server.address).port) });
  await allSaved(page);
  await expect(page.getByText('the server does not answer')).toHaveCount(0);
  await page.reload();
  await expect(field(page, 'Width at the top')).toHaveValue('1182');
  await expect(field(page, 'Width in the middle')).toHaveValue('1183');
  await expect(field(page, 'Width at the bottom')).toHaveValue('about');
  await again.stop();
});

test('a change that could not be sent before the page was closed is sent at the next opening', async ({
  browser,
  as,
}) => {
  const server = await startServer({ isDemo: true });
  const context = await newContext(browser, server.address);
  const page = await context.newPage();
  await as(page, 'Wren');
  await page.goto(`${DEMO_JOB}/survey/${surface(2)}`);
  await expect(field(page, 'Width at the top')).toHaveValue('1180');
  await page.route('**/changes', (route) => route.abort());
  await field(page, 'Width at the top').fill('1182');
  await field(page, 'Width at the top').press('Enter');
  await expect(page.getByText(/Not saved yet/)).toBeVisible();
  await page.close();
  const later = await context.newPage();
  await later.goto(`${DEMO_JOB}/survey/${surface(2)}`);
  await expect(field(later, 'Width at the top')).toHaveValue('1182');
  await allSaved(later);
  const kept = (await (
    await later.request.get(`${server.address}${DEMO_JOB.replace('/jobs', '/api/jobs')}`)
  ).json()) as { readonly rows: { readonly measure: readonly { readonly text: string }[] } };
  expect(kept.rows.measure.some(({ text }) => text === '1182')).toBe(true);
  await server.stop();
});
