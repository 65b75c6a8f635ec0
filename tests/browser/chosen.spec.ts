import { expect, type Page } from '@playwright/test';
import type { Setup } from '@/core/setup';
import { wished } from '../kit/order-faults';
import { test } from './kit';

const helped = () =>
  wished({ launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 } });

async function openAt(page: Page, setup: Setup, station: string): Promise<string> {
  const made = await page.request.post('/api/import', { data: setup });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`/models/${id}/${station}`);
  return id;
}
const kept = async (page: Page, id: string) =>
  (await (await page.request.get(`/api/models/${id}/export`)).json()) as Setup;

test('a choice is taken out whose logic a line of one’s own reads: it is asked what becomes of that', async ({
  page,
}) => {
  const setup = { ...structuredClone(helped()), name: 'Hanging on' };
  setup.program.lines.push({
    id: 'mine',
    label: 'Rudder at launch',
    channel: setup.program.outputs.find((o) => o.carries === 'rudder')!.channel,
    follows: { kind: 'fixed' },
    sharePct: 8,
    shiftPct: 0,
    when: { kind: 'logic', id: 'launch-on' },
    effect: 'adds',
  });
  const id = await openAt(page, setup, 'program');
  const out = page.getByRole('button', { name: 'Remove: Hand launch' });
  const asked = page.getByRole('alertdialog', { name: 'What happens to it' });
  await out.click();
  await expect(asked).toContainText('“Rudder at launch”, reads what this choice wrote');
  await asked.getByRole('button', { name: 'Leave everything as it was' }).click();
  await expect(asked).toHaveCount(0);
  await expect(page.getByText('Saved, version 1')).toBeVisible();

  await out.click();
  await asked.getByRole('button', { name: 'Switch those lines off' }).click();
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  const off = await kept(page, id);
  expect(off.program.aside!.map((a) => a.line.label)).toEqual(['Rudder at launch']);
  expect(off.program.logic.filter((l) => /launch/.test(l.id))).toEqual([]);
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(page.getByText('Saved, version 3')).toBeVisible();

  await out.click();
  await asked.getByRole('button', { name: 'Keep what they read, as my own' }).click();
  await expect(page.getByText('Saved, version 4')).toBeVisible();
  const own = await kept(page, id);
  expect(own.intents.program.launch).toBeUndefined();
  expect(own.program.logic.find((l) => l.id === 'launch-on')!.owner).toBeUndefined();
  expect(own.program.lines.find((l) => l.id === 'mine')).toBeDefined();
});

test('what differs from a choice is said, and kept, written again or chosen', async ({ page }) => {
  const setup = {
    ...structuredClone(wished({ gain: { by: 'fixed', pct: 45 } })),
    name: 'Chosen otherwise',
  };
  setup.program.lines.find((l) => l.owner === 'gain')!.sharePct = 80;
  const id = await openAt(page, setup, 'proof');
  const said = page.getByText(
    'Gain: differs from your choice. Everything at rest: chosen gain 45 %, the program gives gain 91 %.',
  );
  const undo = page.getByRole('button', { name: 'Undo the last change' });
  for (const [way, line, choice] of [
    ['Write it again as chosen', -10, 45],
    ['Change the choice to what the program does', 80, 91],
    ['Keep the program as it is', 80, 45],
  ] as const) {
    await expect(said).toBeVisible();
    await page.getByRole('button', { name: way }).click();
    await expect(said).toHaveCount(0);
    await expect(page.getByText(/^Saved, version/)).toBeVisible();
    const now = await kept(page, id);
    expect(now.program.lines.find((l) => l.purpose === 'gain')!.sharePct).toBe(line);
    expect(now.intents.program.gain).toEqual({ by: 'fixed', pct: choice });
    await undo.click();
  }
});

test('a second rate is entered by hand', async ({ page }) => {
  const id = await openAt(page, { ...structuredClone(wished()), name: 'Two rates' }, 'program');
  await page.getByText('By hand, line by line').click();
  await page.getByText('Inputs', { exact: true }).first().click();
  await page
    .getByRole('button', { name: /^Add a rate: / })
    .first()
    .click();
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  const { rates } = (await kept(page, id)).program.inputs[0]!;
  expect(rates).toHaveLength(2);
  expect(rates[0]!.when).toMatchObject({ kind: 'switch' });
  expect(rates[1]!.when).toBeUndefined();
});
