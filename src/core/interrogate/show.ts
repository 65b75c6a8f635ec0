import {
  compileChain,
  compileReceiver,
  createEar,
  FOR_LEVEL,
  lightIn,
  resetMemory,
} from '../chain';
import type { Mode, Setup } from '../setup';
import { twitchesSeen, type Experiment, type Glance } from './experiment';
import { firstOf, playsOf } from './play';
import { shownAs, type Likely, type Shown } from './shown';

/** A surface that moves less is seen to stand still; about this much may be seen either way. Common practice, no source. */
const SEEN_DEG = 2;
const DOUBTFUL = 1.6;

/** One possible unit on the bench: what it shows for an experiment, by the chain. */
export interface Possible {
  show(experiment: Experiment): Shown;
  /** The same, glance by glance, and the position of its mode channel in each moment from the first that is looked at, from 0. */
  look(experiment: Experiment): Look;
  /** The same unit with other modes in its positions. */
  inModes(modes: readonly Mode[]): Possible;
}

interface Look {
  looks: readonly Likely[];
  slots: readonly number[];
}

/** A unit by itself, on a bench of its own. */
export const possibleUnit = (setup: Setup): Possible => benchOf(setup)(setup);

/** After level was captured with the model lying so. @param pitchDeg from its flying attitude */
const taughtAt = (setup: Setup, pitchDeg: number): Setup => ({
  ...setup,
  installation: {
    ...setup.installation,
    levelCapture: { pitchDeg: pitchDeg + setup.airframe.measures.flyingPitchDeg },
  },
});

/** With its gain lead out, after a gain at the upper end. */
const leadOut = (setup: Setup): Setup => ({
  ...setup,
  installation: { ...setup.installation, gainLead: false, gainLeadLastPct: 100 },
});

/**
 * The bench of a Setup: its transmitter plays an experiment once, and one possible unit after another hears it.
 * @returns puts a unit on it: a Setup with the same transmitter, program and model
 */
export function benchOf(bench: Setup): (setup: Setup) => Possible {
  const chain = compileChain(bench);
  const frame = chain.newFrame();
  const memory = chain.newMemory();
  const playedOf = playsOf(bench);
  const shows = (setup: Setup) => {
    const slots = [...setup.unit.settings.slots];
    const receiver = compileReceiver(setup, slots);
    const heard = setup.unit.settings.inputs
      .map((i) => i.channel - 1)
      .filter((at) => at < setup.transmitter.channels);
    return (e: Experiment, inSlots: readonly Mode[]): Look => {
      slots.splice(0, slots.length, ...inSlots);
      const { moments, looks, teaches } = playedOf(e);
      let hears = receiver;
      const ear = teaches && createEar(setup);
      let captures = setup.unit.traits.levelCapture?.by === 'button';
      resetMemory(memory);
      memory.armed = !e.fresh;
      const cameTo: number[] = [];
      const first = firstOf(looks);
      const seen = looks.map(() => ({ before: 0, off: 0, peak: 0 }));
      const modes: Mode[] = [];
      moments.forEach(({ stimulus, sentUs }, at) => {
        frame.sentUs.set(sentUs);
        hears.step(stimulus, memory, frame);
        if (teaches && at >= teaches.from && at <= teaches.to) {
          captures ||= ear!.hear(frame, stimulus.dtS).some((g) => g.for === FOR_LEVEL);
          if (at === teaches.to && captures)
            hears = compileReceiver(taughtAt(setup, teaches.pitchDeg), slots);
        }
        if (at < first) return;
        cameTo.push(frame.slot);
        modes[at - first] = frame.mode;
        chain.servos(frame);
        chain.surfaces(frame);
        looks.forEach(({ surface, before, from, to }, i) => {
          if (surface < 0) return;
          const look = seen[i]!;
          const deg = frame.surfaceDeg[surface]!;
          if (at === before) look.before = deg;
          if (at < from || at > to) return;
          look.off = deg - look.before;
          if (Math.abs(look.off) > Math.abs(look.peak)) look.peak = look.off;
        });
      });
      const silent = heard.every((at) => Number.isNaN(frame.receivedUs[at]!));
      const glances = looks.map(({ sees, before, to, lost }, i): Likely => {
        if (sees === 'twitches') return [twitchesSeen(setup.unit.traits.twitchesAtPowerUp)];
        if (sees === 'light') {
          const lit = (at: number) => lightIn(setup.unit, modes[at - first]!);
          return [lit(before) === lit(to) ? 'same' : 'other'];
        }
        return silent && lost ? ['limp'] : glanceAt(seen[i]!.peak, seen[i]!.off);
      });
      return { looks: glances, slots: cameTo };
    };
  };
  return (setup) => {
    const plugged = shows(setup);
    let pulled: typeof plugged | undefined;
    const inModes = (modes: readonly Mode[]): Possible => {
      const look = (e: Experiment): Look =>
        (e.leadOut ? (pulled ??= shows(leadOut(setup))) : plugged)(e, modes);
      return { look, show: (e) => shownAs(look(e).looks), inModes };
    };
    return inModes(setup.unit.settings.slots);
  };
}

/** @param peakDeg the furthest it went from where it stood @param endDeg where it stands at the end */
function glanceAt(peakDeg: number, endDeg: number): Likely {
  const seen = (peakFrom: number, endFrom: number): Glance => {
    if (Math.abs(peakDeg) < peakFrom) return 'none';
    // It stays where it went: a swing past and back is a return.
    const stays = Math.abs(endDeg) >= endFrom && endDeg * peakDeg > 0;
    return `${peakDeg > 0 ? '+' : '-'}${stays ? 'stays' : 'returns'}`;
  };
  const first = seen(SEEN_DEG, SEEN_DEG);
  const others = [
    seen(SEEN_DEG / DOUBTFUL, SEEN_DEG),
    seen(SEEN_DEG * DOUBTFUL, SEEN_DEG),
    seen(SEEN_DEG, SEEN_DEG / DOUBTFUL),
    seen(SEEN_DEG, SEEN_DEG * DOUBTFUL),
  ];
  return [first, ...new Set(others.filter((s) => s !== first))];
}
