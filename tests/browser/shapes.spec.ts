import { expect, type Page } from '@playwright/test';
import { share } from '../kit/share';
import { test } from './kit';

test.use({ turns: 1 });

/** Hands on the screen, each thing they do counted. */
class Hands {
  done = 0;
  private version = 1;
  constructor(private readonly page: Page) {}

  async start(name: string, kind: string, more: Record<string, string>, ticks: readonly string[]) {
    await this.page.goto('/models/new');
    await this.page.getByLabel('What do you call it?').fill(name);
    await this.page.locator(`input[name="kind"][value="${kind}"]`).check();
    this.done += 3;
    for (const [label, value] of Object.entries(more)) {
      this.done += 1;
      await this.page.getByLabel(label).selectOption(value);
    }
    if (ticks.length > 0) {
      this.done += 1;
      await this.page.getByText('Built differently, or with more on it').click();
    }
    for (const tick of ticks) {
      this.done += 1;
      await this.page.getByLabel(tick, { exact: true }).check();
    }
    this.done += 1;
    await this.page.getByRole('button', { name: 'Put it on the bench' }).click();
    await expect(this.page).toHaveURL(/\/model$/);
  }

  async saved() {
    this.version += 1;
    await expect(this.page.getByText(`Saved, version ${this.version}`)).toBeVisible();
  }

  /** The lead of the second of a pair carries something of its own; found under its part, or with the motors. */
  async lead(part: string | undefined, carries: string) {
    if (part) {
      this.done += 1;
      await this.page
        .getByRole('listitem')
        .getByRole('button', { name: new RegExp(`^${part} `) })
        .first()
        .click();
    }
    this.done += 1;
    await this.page.getByLabel('its lead carries').last().selectOption({ label: carries });
    await this.saved();
  }

  async to(station: string) {
    this.done += 1;
    await this.page
      .getByRole('navigation', { name: 'Stations of the job' })
      .getByRole('link', { name: station })
      .click();
  }

  async add(words: string) {
    this.done += 1;
    await this.page.getByRole('button', { name: words, exact: true }).click();
    await this.saved();
  }
}

const UNIT = 'Which unit is most like yours?';
const TRANSMITTER = 'Which transmitter is most like yours?';
const SURFACE = { [UNIT]: 'steering-lead', [TRANSMITTER]: 'surface-six' };

interface Shape {
  name: string;
  kind: string;
  more?: Record<string, string>;
  ticks?: readonly string[];
  /** Part whose lead is given something of its own; none: the second motor. */
  leads?: readonly (readonly [part: string | undefined, carries: string])[];
  mixes?: readonly string[];
  /** Read at Program. */
  says?: RegExp;
}

const SHAPES: readonly Shape[] = [
  {
    name: 'Twin that taxis by its motors',
    kind: 'conventional',
    more: { 'How many motors?': '2' },
    leads: [[undefined, 'second throttle']],
    mixes: ['differential thrust'],
    says: /slows the motor on the inside/,
  },
  {
    name: 'Wing with rudders in its winglets',
    kind: 'conventional',
    ticks: ['two rudders, a servo each'],
    leads: [['Right rudder', 'second rudder']],
    mixes: ['rudders outward only'],
    says: /the right one right, the left one left/,
  },
  {
    name: 'Boat with two of each',
    kind: 'boat',
    more: SURFACE,
    ticks: ['two rudders, a servo each', 'a second motor'],
    leads: [[undefined, 'second throttle']],
    mixes: ['differential thrust'],
    says: /so that the bow turns/,
  },
  {
    name: 'Crawler with a winch',
    kind: 'car',
    more: SURFACE,
    ticks: ['rear wheels that steer', 'a winch'],
    leads: [['Left rear wheel', 'second steering']],
    mixes: ['rear steering'],
    says: /steers the rear wheels.*Winch, by/s,
  },
  {
    name: 'Sailplane with crow',
    kind: 'conventional',
    more: { 'How many motors?': '0', 'How are the ailerons moved?': 'two-outputs' },
    mixes: ['crow'],
    says: /Crow by .*up/s,
  },
  // None of these is on any list.
  {
    name: 'Canard with a tow hook',
    kind: 'conventional',
    ticks: ['the elevator ahead of the wing (canard)', 'a tow hook'],
    says: /Tow hook, by/,
  },
  {
    name: 'T-tail in halves, with lights',
    kind: 't-tail',
    ticks: ['the elevator in two halves, a servo each', 'lights'],
    leads: [['Right elevator', 'second elevator']],
    says: /Lights, by/,
  },
  {
    name: 'Twin V-tail with crow',
    kind: 'v-tail',
    more: { 'How many motors?': '2', 'How are the ailerons moved?': 'two-outputs' },
    leads: [[undefined, 'second throttle']],
    mixes: ['crow', 'differential thrust'],
    says: /Crow by .*slows the motor/s,
  },
  {
    name: 'Rescue boat with lights',
    kind: 'boat',
    more: SURFACE,
    ticks: ['lights', 'a winch'],
    says: /Winch, by .*Lights, by/s,
  },
  {
    name: 'Rally car with two motors',
    kind: 'car',
    more: SURFACE,
    ticks: ['a second motor', 'lights'],
    leads: [[undefined, 'second throttle']],
    says: /Lights, by/,
  },
];

for (const { name, kind, more = {}, ticks = [], leads = [], mixes = [], says } of share(SHAPES, 5))
  test(`${name}: from New model to the proof`, async ({ page }) => {
    const hands = new Hands(page);
    await hands.start(name, kind, more, ticks);
    for (const [part, carries] of leads) await hands.lead(part, carries);
    await hands.to('Program');
    for (const mix of mixes) await hands.add(mix);
    if (says) await expect(page.getByRole('main')).toContainText(says);
    await expect(page.getByText(/^No problems found/).first()).toBeVisible();
    expect(hands.done).toBeLessThanOrEqual(30);
  });
