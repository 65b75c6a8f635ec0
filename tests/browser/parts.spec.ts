import { expect } from '@playwright/test';
import { expectAccessible, newModel, test } from './kit';

test('a canard with two rudders from a drawing that has neither: two ticks, proved, and the sticks ask for it', async ({
  page,
}) => {
  const id = await newModel(page, 'Duck drake');
  await page.goto(`/models/${id}/model`);
  await page.getByLabel('the elevator ahead of the wing (canard)').click();
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  await page.getByLabel('two rudders, a servo each').click();
  await expect(page.getByText('Saved, version 3')).toBeVisible();
  await expect(page.getByText('down: lifts the nose')).toBeVisible();
  await expectAccessible(page);
  await page.goto(`/models/${id}/sticks`);
  await expect(page.getByText('No problems found').first()).toBeVisible();
  await expect(page.getByRole('main')).toContainText('Left rudder');
});

test('a part is moved on the drawing, by hand, by key and by number; where it turns nothing it cannot be', async ({
  page,
}) => {
  const id = await newModel(page, 'Moved merganser');
  await page.goto(`/models/${id}/model`);
  const drawing = page.getByRole('group', { name: 'The model from above' });
  const part = (name: string) => drawing.getByRole('button', { name: new RegExp(`^${name}`) });
  const places = async () => {
    const setup = (await (await page.request.get(`/api/models/${id}/export`)).json()) as {
      airframe: { surfaces: { id: string; place?: Record<string, number> }[] };
    };
    return Object.fromEntries(setup.airframe.surfaces.map((s) => [s.id, s.place]));
  };

  await part('Elevator').focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  expect((await places()).elevator).toMatchObject({ forwardMm: -540, rightMm: 0 });

  const aileron = part('Left aileron');
  await aileron.scrollIntoViewIfNeeded();
  const box = (await aileron.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 20, box.y + box.height / 2 + 6, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText('Saved, version 3')).toBeVisible();
  const { 'aileron-left': left, 'aileron-right': right } = await places();
  expect(left!.rightMm).toBeLessThan(-504);
  expect(right!.rightMm).toBe(-left!.rightMm!);

  const across = drawing.getByRole('slider', { name: 'Pull: width' });
  await expect(across).toHaveAttribute('aria-valuetext', '1400 mm, assumed');
  await across.focus();
  await page.keyboard.press('ArrowRight');
  await expect(across).toHaveAttribute('aria-valuetext', '1410 mm');
  await expect(page.getByLabel('span (or width), mm')).toHaveValue('1410');
  const line = (await across.boundingBox())!;
  await page.mouse.move(line.x + line.width - 6, line.y + line.height / 2);
  await page.mouse.down();
  await page.mouse.move(line.x + line.width + 34, line.y + line.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText('Saved, version 5')).toBeVisible();
  expect(Number(await across.getAttribute('aria-valuenow'))).toBeGreaterThan(1600);
  await page.keyboard.press('Control+z');
  await expect(across).toHaveAttribute('aria-valuetext', '1410 mm');
  // The nose end of the other line, outwards.
  const along = drawing.getByRole('slider', { name: 'Pull: length' });
  const upright = (await along.boundingBox())!;
  await page.mouse.move(upright.x + upright.width / 2, upright.y + 6);
  await page.mouse.down();
  await page.mouse.move(upright.x + upright.width / 2, upright.y - 14, { steps: 4 });
  await page.mouse.up();
  await expect(along).not.toHaveAttribute('aria-valuetext', /assumed/);
  expect(Number(await along.getAttribute('aria-valuenow'))).toBeGreaterThan(1100);

  await part('Elevator').click();
  const ahead = page.getByLabel('ahead of the balance point, mm');
  await ahead.fill('0');
  await ahead.press('Enter');
  await expect(page.getByText(/elevator would turn nothing there/).first()).toBeVisible();
  await ahead.fill('420');
  await ahead.press('Enter');
  await expect(page.getByText('down: lifts the nose')).toBeVisible();
  // Its rod still moves it as before: the stick is the wrong way round now, and that is found.
  await expect(page.getByText(/WRONG|must go down|wrong way/).first()).toBeVisible();
});

test('a boat with two motors and two rudders, a car whose rear wheels steer: ticked and proved', async ({
  page,
}) => {
  for (const [name, kind, ticks] of [
    ['Twin teal', 'boat', ['two rudders, a servo each', 'a second motor']],
    ['Crab crake', 'car', ['rear wheels that steer']],
  ] as const) {
    const made = await page.request.post('/api/models', {
      data: {
        name,
        kind,
        ailerons: 'none',
        unit: 'steering-menu',
        transmitter: 'surface-six',
      },
    });
    const { id } = (await made.json()) as { id: string };
    await page.goto(`/models/${id}/model`);
    for (const [n, words] of ticks.entries()) {
      await page.getByLabel(words).click();
      await expect(page.getByText(`Saved, version ${n + 2}`)).toBeVisible();
    }
    await expect(page.getByText('No problems found').first()).toBeVisible();
    // Taken off again it is what it was.
    await page.getByLabel(ticks[0]).click();
    await expect(page.getByText(`Saved, version ${ticks.length + 2}`)).toBeVisible();
    await expect(page.getByText('No problems found').first()).toBeVisible();
  }
});

test('any part is added, mirrored and removed on the drawing, by keys; what makes no sense says why', async ({
  page,
}) => {
  const id = await newModel(page, 'Built bunting');
  await page.goto(`/models/${id}/model`);
  const drawing = page.getByRole('group', { name: 'The model from above' });
  const part = (name: string) => drawing.getByRole('button', { name: new RegExp(`^${name}`) });

  await page.getByRole('button', { name: 'Add a part' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menuitem', { name: /^Ailerons/ })).toBeFocused();
  for (const next of ['An elevator', 'A rudder']) {
    await page.keyboard.press('ArrowDown');
    await expect(page.getByRole('menuitem', { name: next })).toBeFocused();
  }
  await page.keyboard.press('Enter');
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  await expect(part('Second rudder')).toBeVisible();
  // It is open: its servo has a lead, its place can be typed.
  await expect(page.getByLabel('its lead carries')).toBeVisible();
  await page.getByRole('button', { name: 'Mirror second rudder' }).click();
  await expect(
    page.getByText('Not changed: second rudder is in the middle: move it to one side first'),
  ).toBeVisible();
  const aside = page.getByLabel('to the right of it, mm');
  await aside.fill('150');
  await aside.press('Enter');
  await expect(page.getByText('Saved, version 3')).toBeVisible();
  await page.getByRole('button', { name: 'Mirror second rudder' }).click();
  await expect(page.getByText('Saved, version 4')).toBeVisible();
  await expect(part('Left rudder')).toBeVisible();
  await page.getByRole('button', { name: 'Remove right rudder' }).click();
  await expect(page.getByText('Saved, version 5')).toBeVisible();

  await part('Elevator').focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Remove elevator' }).click();
  await expect(
    page.getByText('Not changed: without elevator nothing could lift or lower its nose'),
  ).toBeVisible();
  await expectAccessible(page);
  await page.goto(`/models/${id}/proof`);
  await expect(page.getByText('No problems found').first()).toBeVisible();
});

test('two servos on one part: put against each other it is said and repaired, and both rods are measured', async ({
  page,
}) => {
  const id = await newModel(page, 'Heavy goosander');
  const openElevator = async () => {
    await page.goto(`/models/${id}/model`);
    await page
      .getByRole('listitem')
      .getByRole('button', { name: /^Elevator / })
      .first()
      .click();
  };
  await openElevator();
  await page.getByRole('button', { name: 'One more servo on the elevator' }).click();
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  await expect(page.getByText(/^No problems found/).first()).toBeVisible();
  const second = page.getByRole('group', { name: 'Second elevator servo' });
  const turns = second.getByLabel('a longer pulse turns the elevator');
  await turns.selectOption({ label: 'up, against the first servo' });
  await expect(page.getByText('Saved, version 3')).toBeVisible();
  await expectAccessible(page);
  await page.goto(`/models/${id}/proof`);
  await expect(page.getByRole('main')).toContainText('pull against each other');
  await page
    .getByRole('button', {
      name: 'Move the rod of the second elevator servo to the other side of its arm',
    })
    .click();
  await expect(page.getByText(/^No problems found/).first()).toBeVisible();
  await page.goto(`/models/${id}/throws`);
  const elevator = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: 'Elevator', exact: true }) });
  await elevator.getByRole('button', { name: 'Chord, arm, horn and rod' }).click();
  await expect(elevator.getByLabel('servo arm, mm')).toHaveCount(2);
  await openElevator();
  await page.getByRole('button', { name: 'Remove the second elevator servo' }).click();
  await expect(page.getByText('Second elevator servo')).toHaveCount(0);
});
