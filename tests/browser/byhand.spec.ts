import { share } from '../kit/share';
import { expect, type Locator, type Page } from '@playwright/test';
import { compileChain } from '@/core/chain';
import { parseSetup, type Setup } from '@/core/setup';
import { verify } from '@/core/verify';
import { expectAccessible, newModel, test } from './kit';

test.use({ turns: 2 });

/** The hand at the program of one model: its parts, words picked and numbers typed where they stand. */
class Hand {
  private constructor(
    readonly page: Page,
    readonly id: string,
  ) {}
  static async at(page: Page, name: string): Promise<Hand> {
    const hand = new Hand(page, await newModel(page, name));
    await page.goto(`/models/${hand.id}/program`);
    await page.locator('html[data-live]').waitFor({ state: 'attached' });
    await page.getByText('By hand, line by line').click();
    return hand;
  }
  part = (name: string) => this.page.getByRole('tab', { name, exact: true }).click();
  region = (name: RegExp | string) => this.page.getByRole('region', { name });
  last = (region: Locator) => region.getByRole('listitem').filter({ hasText: 'Your own.' }).last();

  /** Another word of a sentence; what explains it need not be said. */
  async pick(row: Locator, label: RegExp | string, words: string) {
    await row.getByRole('combobox', { name: label }).click();
    const options = this.page.getByRole('option');
    await options.filter({ has: this.page.getByText(words, { exact: true }) }).click();
  }
  async type(row: Locator, label: RegExp, value: string) {
    const field = row.getByLabel(label);
    await field.fill(value);
    await field.press('Enter');
    await expect(field).toHaveValue(value);
  }
  /** Another line at the end of a channel: its share, what it waits for, what it is for. */
  async line(channel: RegExp, share: string, when: string, purpose: string, effect?: string) {
    const region = this.region(channel);
    await region.getByRole('button', { name: /^Add a line/ }).click();
    const row = this.last(region);
    await this.type(row, /: share, %$/, share);
    if (effect) await this.pick(row, /: effect$/, effect);
    await this.pick(row, /: when$/, when);
    await this.pick(row, /: for$/, purpose);
    return row;
  }
  /** Logic of a kind, under a name. */
  async logic(kind: string, name: string) {
    const region = this.region('Logic');
    await this.pick(region, 'Add logic', kind);
    const row = this.last(region);
    await this.type(row, /: name$/, name);
    return row;
  }
  /** The program as it was saved. */
  async setup(): Promise<Setup> {
    await expect(this.page.getByText(/^Saved, version \d+$/)).toBeVisible();
    const reply = await this.page.request.get(`/api/models/${this.id}/export`);
    const read = parseSetup(await reply.json());
    if (!read.ok) throw new Error(read.problems[0]!.reason);
    return read.value;
  }
}

const MODE = /^Channel \d+, mode$/;
const GAIN = /^Channel \d+, gain$/;
const OVER = 'Instead';
const MORE = 'and one more …';

/** What a channel sends with some controls put somewhere, everything else at rest, for so long. */
function sent(setup: Setup, carries: string, hands: Record<string, number>, seconds = 2) {
  const chain = compileChain(setup);
  const stimulus = chain.restStimulus();
  const memory = chain.newMemory();
  const frame = chain.newFrame();
  chain.step(stimulus, memory, frame);
  for (const [id, value] of Object.entries(hands))
    stimulus.controls[setup.transmitter.controls.findIndex((c) => c.id === id)] = value;
  stimulus.dtS = 0.05;
  for (let t = 0; t < seconds; t += stimulus.dtS) chain.step(stimulus, memory, frame);
  const { channel } = setup.program.outputs.find((o) => o.carries === carries)!;
  return { pct: Math.round(frame.channelsPct[channel - 1]!), frame, stimulus, memory, chain };
}

const stops = (setup: Setup) => verify(setup).filter((f) => f.severity === 'stop');

/** Programs that are entered word by word; one of them in every run, all of them in a full one. */
const BY_HAND: [string, (args: { page: Page }) => Promise<void>][] = [
  [
    'panic mixed in by the place of the mode switch, and the knob read aloud, are entered by hand and proved',
    async ({ page }) => {
      const hand = await Hand.at(page, 'Panic by hand');
      // Self-levelling lies near: from far it takes 200 %, from the middle 100 %.
      for (const [place, share] of [
        ['Switch A far', '200'],
        ['Switch A middle', '100'],
      ] as const) {
        const row = await hand.line(MODE, share, 'Momentary M pressed', 'panic');
        await hand.pick(row, /: when$/, MORE);
        await hand.pick(row, /: when, 2$/, place);
      }
      await hand.line(GAIN, '20', 'Momentary M pressed', 'panic', OVER);
      await hand.part('Call-outs');
      const voice = hand.region('Call-outs and timers');
      await voice.getByRole('button', { name: /^Add a call-out for a moved control/ }).click();
      await hand.type(hand.last(voice), /: still for, s$/, '1');
      await expectAccessible(page);

      const setup = await hand.setup();
      for (const sa of [-100, 0, 100])
        expect(sent(setup, 'mode', { sa, sm: 100 }).frame.mode).toBe('level');
      expect(stops(setup)).toEqual([]);
      expect(setup.program.callouts.at(-1)).toMatchObject({
        moved: { byPct: 2, settledS: 1 },
        reading: { kind: 'control' },
      });
      // One amount too small, and panic does not come from there: it is said at once.
      await hand.part('Channels');
      const far = hand.region(MODE).getByRole('listitem').filter({ hasText: 'Switch A far' });
      await hand.type(far, /: share, %$/, '100');
      expect(stops(await hand.setup())).not.toEqual([]);
      await expect(page.getByRole('region', { name: 'Verdict' })).toContainText('Panic');
    },
  ],
  [
    'a curve of the gain, then a gain for each flap place under a master with two places off, by hand and proved',
    async ({ page }) => {
      const hand = await Hand.at(page, 'Gain by hand');
      await hand.part('Shapes');
      const shapes = hand.region('Shapes');
      await shapes.getByRole('button', { name: /^Add a shape/ }).click();
      await hand.type(shapes, /point 1, out, %$/, '-50');
      await shapes.getByRole('slider', { name: /point 3$/ }).focus();
      await page.keyboard.press('Shift+ArrowDown');
      await page.keyboard.press('Shift+ArrowDown');
      await expect(shapes.getByLabel(/point 3, out, %$/)).toHaveValue('80');
      await hand.part('Channels');
      const gain = hand.region(GAIN);
      const first = gain.getByRole('listitem').first();
      await expect(first).toContainText('Written by Gain.');
      await hand.pick(first, /: shape$/, 'through Shape 1');
      await expect(first).toContainText('Your own.');
      await hand.type(first, /: share, %$/, '100');
      await hand.type(first, /: shift, %$/, '0');
      const curved = await hand.setup();
      expect([-100, 0, 100].map((k1) => sent(curved, 'gain', { k1 }).pct)).toEqual([-50, 0, 80]);

      // The curve rests, and the table stands in its place.
      await first.getByRole('button', { name: /^Switch off, and keep/ }).click();
      await expect(gain).toContainText('Switched off.');
      await page.getByRole('combobox', { name: 'Channels are shown as' }).click();
      await page.getByRole('option', { name: /^values by position/ }).click();
      await gain.getByRole('button', { name: /^A table of values/ }).click();
      await hand.pick(gain, /: switch 1$/, 'Switch B');
      await hand.pick(gain, /: switch 2$/, 'Switch C');
      const places = ['far', 'middle', 'near'];
      for (const [i, pct] of ['-40', '20', '60'].entries())
        for (const c of places)
          await hand.type(
            gain,
            new RegExp(`gain, Switch B ${places[i]}, Switch C ${c}, %$`),
            c === 'near' ? pct : '-100',
          );
      await expectAccessible(page);
      const setup = await hand.setup();
      const at = (sb: number, sc: number) => sent(setup, 'gain', { sb, sc }).pct;
      expect([-100, 0, 100].map((sb) => at(sb, 100))).toEqual([-40, 20, 60]);
      expect([-100, 0, 100].flatMap((sb) => [at(sb, -100), at(sb, 0)])).toEqual(
        Array(6).fill(-100),
      );
      expect(stops(setup)).toEqual([]);
      expect(setup.program.aside).toHaveLength(1);
    },
  ],
  [
    'a launch that latches on a held switch and lets go at a stick is entered by hand and proved',
    async ({ page }) => {
      const hand = await Hand.at(page, 'Launch by hand');
      await hand.part('Logic');
      const held = await hand.logic('when something has held for a while', 'Launch switch held');
      await hand.pick(held, /: has held$/, 'Switch H near');
      await hand.type(held, /: on after, s$/, '1');
      for (const stick of ['Aileron stick', 'Elevator stick']) {
        const still = await hand.logic('while a value is near another', `${stick} let go`);
        await hand.pick(still, /: follows$/, stick);
        await hand.type(still, /: within, %$/, '10');
      }
      const on = await hand.logic('a latch: set by one thing, reset by another', 'Launch');
      await hand.pick(on, /: set by$/, '“Launch switch held”');
      await hand.pick(on, /: reset by$/, '“Aileron stick let go”');
      await hand.pick(on, /: reset by$/, 'instead: not “Aileron stick let go”');
      await hand.pick(on, /: reset by$/, MORE);
      await hand.pick(on, /: reset by, 2$/, '“Elevator stick let go”');
      await hand.pick(on, /: reset by, 2$/, 'instead: not “Elevator stick let go”');
      await hand.pick(on, /: joined by$/, 'or');
      await expectAccessible(page);

      await hand.part('Channels');
      await hand.line(/^Channel \d+, elevator$/, '-25', '“Launch”', 'hand launch');
      await hand.line(MODE, '100', '“Launch”', 'hand launch', OVER);
      const setup = await hand.setup();
      const thrown = sent(setup, 'elevator', { sh: 100 });
      expect(thrown.frame.mode).toBe('level');
      expect(Math.abs(thrown.pct)).toBe(25);
      expect(stops(setup)).toEqual([]);
      // Any stick lets it go, and the switch still held does not bring it back.
      const at = setup.transmitter.controls.findIndex((c) => c.hand === 'aileron');
      thrown.stimulus.controls[at] = 40;
      for (let i = 0; i < 60; i++) thrown.chain.step(thrown.stimulus, thrown.memory, thrown.frame);
      expect(thrown.frame.mode).not.toBe('level');
    },
  ],
];
for (const [name, enter] of share(BY_HAND, 4)) test(name, ({ page }) => enter({ page }));
