import { randomUUID } from 'node:crypto';
import { call, DEMO, expect, open, signIn, test, watch } from './support';

// Half past eleven in UTC, on both sides of the change to summer time in Europe and in New York.
const DUE = ['2031-01-15T11:30:00.000Z', '2031-07-15T11:30:00.000Z'] as const;
const ZONES = [
  ['America/New_York', ['15 Jan 2031, 06:30', '15 Jul 2031, 07:30'], '2031-01-15T06:30'],
  ['Europe/Berlin', ['15 Jan 2031, 12:30', '15 Jul 2031, 13:30'], '2031-01-15T12:30'],
  ['Asia/Kolkata', ['15 Jan 2031, 17:00', '15 Jul 2031, 17:00'], '2031-01-15T17:00'],
] as const;

for (const [timezoneId, said, typed] of ZONES)
  test(`in ${timezoneId} every page says the same time, whoever draws it`, async ({ browser }) => {
    const context = await browser.newContext({ timezoneId });
    const page = await context.newPage();
    const quiet = watch(page);
    await signIn(page, 'odile');
    const ids = DUE.map(() => randomUUID());
    const plain = {
      sittings: 1,
      counts: 'best',
      practice: false,
      feedbackLevel: 'modelAnswer',
      feedbackTime: 'atOnce',
    };
    for (const [i, dueAt] of DUE.entries()) {
      const id = ids[i] as string;
      const settings = { ...plain, title: `Due in ${timezoneId} ${i}`, dueAt };
      expect(
        (
          await call(context, 'POST', '/api/releases', {
            id,
            courseId: DEMO.course,
            questionId: DEMO.drying,
            revision: 1,
            settings,
          })
        ).status,
      ).toBe(200);
      await expect
        .poll(async () => (await call(context, 'GET', `/api/releases/${id}/settings`)).status, { timeout: 30_000 })
        .toBe(200);
    }
    await open(page, `/courses/${DEMO.course}`);
    for (const [i, words] of said.entries())
      await expect(page.getByRole('row', { name: `Due in ${timezoneId} ${i}` })).toContainText(words);
    // What is typed is of the same zone, and comes back as it was.
    await open(page, `/releases/${ids[0]}/settings`);
    await expect(page.getByLabel('Due', { exact: true })).toHaveValue(typed);

    const learner = await (await browser.newContext({ timezoneId })).newPage();
    const alsoQuiet = watch(learner);
    await signIn(learner, 'clover');
    await open(learner, '/sit');
    for (const [i, words] of said.entries())
      await expect(
        learner
          .getByRole('listitem')
          .filter({ hasText: `Due in ${timezoneId} ${i}` })
          .first(),
      ).toContainText(words);
    // Drawn on the server, before any script has run.
    expect(await (await learner.context().request.get('/sit')).text()).toContain(said[0]);
    expect([...quiet.said, ...alsoQuiet.said]).toEqual([]);
    await Promise.all([context.close(), learner.context().close()]);
  });
