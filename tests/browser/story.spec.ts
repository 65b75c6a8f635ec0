import { expect, type Page } from '@playwright/test';
import { answerLooks, newModel, nothingElseMoves, openModel, tabTo, test } from './kit';

/**
 * Answers every open question from the keyboard as somebody with the demo tug would: its elevator
 * stick and its roll correction are the wrong way round until they are changed.
 */
function answerAll(page: Page, faults: { elevatorStick: boolean; rollCorrection: boolean }) {
  const upIf = (up: boolean) => (up ? 'up' : 'down');
  return answerLooks(page, (check, surface) => {
    const byStick = check.startsWith('stick-');
    if (surface === 'rudder') return byStick ? 'right' : 'left';
    if (surface === 'elevator') return upIf(byStick && !faults.elevatorStick);
    const isLeft = surface === 'left aileron';
    return upIf(byStick ? !isLeft : isLeft !== faults.rollCorrection);
  });
}

test('the two faults of the tug are found, changed, proven and kept, by keyboard alone', async ({
  page,
}) => {
  await page.goto('/?find=Otter');
  await tabTo(page, /Otter/);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/job$/);
  const path = page.url().replace(/\/job$/, '');
  await page.goto(`${path}/sticks`);
  await expect(page.getByText('4 of 4 left')).toBeVisible();
  const faults = { elevatorStick: true, rollCorrection: true };
  await answerAll(page, faults);
  await nothingElseMoves(page);
  await page.goto(`${path}/corrections`);
  await answerAll(page, faults);
  await expect(page.getByText('Change these 2 things')).toBeVisible();
  await expect(page.getByText(/Reverse the roll correction with its small switch/)).toBeVisible();
  await expect(page.getByText(/Set channel 2 \(elevator\) to normal/)).toBeVisible();

  await tabTo(page, 'Apply to the Setup', 120);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^[1-7] of 8 left$/)).toBeVisible();
  await page.locator('body').press('Escape');
  await answerAll(page, { elevatorStick: false, rollCorrection: false });
  await page.goto(`${path}/sticks`);
  await answerAll(page, { elevatorStick: false, rollCorrection: false });
  await nothingElseMoves(page);
  await expect(page.getByText(/Directions proven/)).toBeVisible();

  await page.reload();
  await expect(page.getByText(/Directions proven/)).toBeVisible();

  // Then the unit is instead: what was seen of it no longer holds, and says why.
  await page.keyboard.press('w');
  await page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: 'Mount', exact: false })
    .focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/mounting$/);
  const told = page.getByRole('group', { name: 'The unit is set to' }).getByLabel('label facing');
  await told.focus();
  await page.keyboard.press('Enter');
  await page.getByRole('option', { name: 'down', exact: true }).press('Enter');
  await expect(page.getByText('These two differ')).toBeVisible();
  await page.goto(`${path}/corrections`);
  await expect(
    page.getByText(/8 answers no longer hold, because the orientation set in the unit/),
  ).toBeVisible();
});

test('a new model is made from nothing and driven on the rig', async ({ page }) => {
  await page.goto('/');
  await tabTo(page, 'New model');
  await page.keyboard.press('Enter');
  await page.getByLabel('What do you call it?').focus();
  await page.keyboard.type('Bench pigeon');
  await page.keyboard.press('Enter');
  // What was assumed of it is what comes first.
  await expect(page).toHaveURL(/model$/);
  await page.locator('h1').click();
  await page.keyboard.press('r');
  await expect(page).toHaveURL(/rig$/);
  const now = page.getByTestId('twin-now');
  await expect(now).toContainText('left aileron at centre');
  await expect(page.getByRole('heading', { name: 'The unit: off' })).toBeVisible();

  // Switch A to the middle: damping. Raise the left wing with a key and watch what answers.
  await page.keyboard.press('1');
  await expect(page.getByRole('heading', { name: 'The unit: rate damping' })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('twin-last')).toHaveText(
    'left wing raised: left aileron up, right aileron down',
  );
  await page.keyboard.press('c');
  await page.keyboard.press('1');
  await expect(page.getByRole('heading', { name: 'The unit: self-levelling' })).toBeVisible();
  await page.keyboard.press('ArrowUp');
  await expect(now).toContainText(/elevator \d+° up/);
  await page.keyboard.press('l');
  await expect(page.getByText('SIGNAL LOST', { exact: false }).first()).toBeVisible();

  // The stick, by its slider.
  await page.keyboard.press('l');
  await page.keyboard.press('1');
  await page.keyboard.press('c');
  const aileron = page.getByRole('slider', { name: 'Aileron stick' });
  await aileron.focus();
  await page.keyboard.press('End');
  await expect(now).toContainText(/left aileron \d+° down/);
});

test('mouse and touch: the stick pad moves surfaces and springs back', async ({ page }) => {
  await openModel(page, 'Loon', 'Program');
  await page.keyboard.press('r');
  await expect(page.getByTestId('twin-now')).toBeVisible();
  const pad = page.locator('[data-pad="right"]');
  const box = (await pad.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width, box.y + box.height / 2);
  await expect(page.getByTestId('twin-now')).toContainText(/left aileron \d+° down/);
  await page.mouse.up();
  await expect(page.getByTestId('twin-now')).toContainText('left aileron at centre');
});

test('two tabs: the later save is refused with a choice, and nothing is lost', async ({
  page,
  context,
}) => {
  const id = await newModel(page, 'Two hands');
  await page.goto(`/models/${id}/plain-model`);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByText('Saved, version 1')).toBeVisible();
  // A tab that does not hear of the other one, as on another machine.
  await other.route(`**/api/models/${id}`, (route) => route.abort());
  await page.getByRole('button', { name: /^normal\s*, channel 1/ }).click();
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  await other.getByRole('button', { name: /^normal\s*, channel 2/ }).click();
  await expect(other.getByText('Two people are editing this model.')).toBeVisible();
  await other.unroute(`**/api/models/${id}`);
  await other.getByRole('button', { name: 'Use the saved one' }).click();
  await expect(other.getByRole('button', { name: /^reversed\s*, channel 1/ })).toBeVisible();
  await expect(other.getByRole('button', { name: /^normal\s*, channel 2/ })).toBeVisible();
  // And put back, by undo in the first tab; the other one hears of it.
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(page.getByText('Saved, version 3')).toBeVisible();
  await expect(other.getByRole('button', { name: /^normal\s*, channel 1/ })).toBeVisible();
});

test('a number is refused in words at its field, and typed again', async ({ page }) => {
  await page.goto(`/models/${await newModel(page, 'Numbers')}/plain-model`);
  const field = page.getByLabel('subtrim').first();
  await field.fill('80');
  await field.press('Enter');
  await expect(page.getByText('From -50 to 50 %.')).toBeVisible();
  await field.fill('3');
  await field.press('Enter');
  await expect(page.getByText(/Saved, version \d+/)).toBeVisible();
  await expect(field).toHaveValue('3');
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(field).toHaveValue('0');
});

test('the rig stands as a step says, and afterwards as it stood before', async ({ page }) => {
  await openModel(page, 'Otter', 'Logbook');
  const rig = page.getByRole('complementary', { name: 'The rig' });
  const there = rig.getByRole('button', { name: 'Simulate signal loss' });
  const lost = rig.getByRole('button', { name: 'Signal lost: restore it' });
  const stations = page.getByRole('navigation', { name: 'Stations' });
  await expect(there).toBeVisible();
  await stations.getByRole('link', { name: /^Failsafe/ }).click();
  await expect(page.getByText('Switch the transmitter off.')).toBeVisible();
  await expect(lost).toHaveAttribute('aria-pressed', 'true');
  // The throttle is a third open, and the failsafe stops the motor.
  await expect(rig.getByText(/^0 %$/)).toBeVisible();
  await stations.getByRole('link', { name: /^Logbook/ }).click();
  await expect(there).toHaveAttribute('aria-pressed', 'false');
});
