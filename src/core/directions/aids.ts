import { modeWords, namedPosition } from '../chain';
import type { Named } from '../script';
import type { Setup } from '../setup';
import { checksFor, expectationsOf, type Check, type Expectation } from './checks';
import { handsOf } from './pose';
import { poseOf } from './predict';
import { kindOf } from '../setup';

/** A way to see what could not be seen. */
export interface Aid {
  title: string;
  does: string;
  /** Another movement that shows the same: the surface stays over for as long as it is kept. */
  instead?: Expectation;
}

/** Where the controls must stand for a check; those at rest go without saying. */
export function controlsFor(setup: Setup, check: Check): Named[] {
  const pose = poseOf(handsOf(setup), check);
  if (!pose) return [];
  return setup.transmitter.controls.flatMap((c, i) =>
    c.kind.startsWith('switch') || pose.controls[i] !== c.rest
      ? steersUnit(setup, i)
        ? [namedPosition(c, pose.controls[i]!)]
        : []
      : [],
  );
}

/** Whether a control stands differently in any two poses: then it is one of those to be set. */
function steersUnit(setup: Setup, at: number): boolean {
  const { stick, corrections } = handsOf(setup);
  const rest = setup.transmitter.controls[at]!.rest;
  return [stick, ...corrections].some((p) => p && p.controls[at] !== rest);
}

/** What to try when a surface could not be judged, one after another; the last can be tried for ever. */
export function aidsFor(setup: Setup, { check, surface }: Expectation): Aid[] {
  const name = surface.label.toLowerCase();
  const look: Aid = {
    title: 'Make it easy to see',
    does: `Stick a strip of paper a hand long to the trailing edge of the ${name} and stand where you see it edge on. Or film it with a phone and play the film slowly.`,
  };
  const servo: Aid = {
    title: 'Look at the servo arm instead',
    does: `Hold a finger on the servo arm of the ${name} while somebody else moves the model. You feel it before you see it; then follow the rod to the surface.`,
  };
  if (check.kind === 'stick')
    return [
      {
        title: 'From end to end',
        does: 'Move it fully to the other side and back again, slowly, and stop at the end asked about.',
      },
      look,
      servo,
    ];
  const { traits } = setup.unit;
  const controls = controlsFor(setup, check).map((c) => c.label);
  const up =
    traits.gainLaw === 'fixed'
      ? traits.dials === 'none'
        ? 'Its gain is fixed.'
        : 'Turn its dials up by half a turn for this.'
      : 'Turn the gain fully up for this.';
  const arm =
    traits.arming === 'after-throttle'
      ? ` ${kindOf(setup.airframe).safe}: run the throttle past ${traits.armThrottlePct} % once, or the unit does nothing.`
      : '';
  const held = heldInstead(setup, check, surface.id);
  return [
    {
      title: 'A larger movement',
      does: `${up}${arm} ${controls.length > 0 ? `${controls.join(', ')}. ` : ''}Move the model as fast as you dare.`,
    },
    {
      title: 'Rock it',
      does:
        check.way === 'held'
          ? 'Tip it further, and wait: levelling drives the surface over and keeps it there.'
          : 'Rock it back and forth four or five times. The surface works against every turn; watch only the half you are asked about.',
    },
    ...(held
      ? [
          {
            title: `Keep it there: ${held.check.mode && modeWords(setup.unit, held.check.mode)}`,
            does: `${controlsFor(setup, held.check)
              .map((c) => c.label)
              .join(
                ', ',
              )}. ${held.check.instruction}: in ${held.check.mode && modeWords(setup.unit, held.check.mode)} the ${name} stays over as long as you hold the model, and there is time to look.`,
            instead: held,
          },
        ]
      : []),
    look,
    servo,
  ];
}

/** The same axis and surface in a mode where the surface stays over. */
function heldInstead(setup: Setup, check: Check, surfaceId: string): Expectation | undefined {
  if (check.way === 'held') return undefined;
  return checksFor(setup)
    .filter((c) => c.kind === 'correction' && c.axis === check.axis && c.way === 'held')
    .flatMap((c) => expectationsOf(setup, c))
    .find((e) => e.surface.id === surfaceId);
}
