import {
  TRANSMITTERS,
  UNITS,
  buildAirframe,
  usualAnswers,
  type AirframeAnswers,
} from '@/core/catalogue';
import { composeSetup, planChannels, unsuited } from '@/core/plan';
import { AIRFRAME_KINDS, kindOf, type Setup } from '@/core/setup';

/** Every kind of airframe, aeroplanes with flaps and gear as well. */
export const AIRFRAMES_TO_TRY: readonly (readonly [name: string, answers: AirframeAnswers])[] =
  AIRFRAME_KINDS.flatMap((kind) => {
    const usual = usualAnswers(kind);
    const plain = [kind, usual] as const;
    return kindOf({ kind }).onSurface
      ? [plain]
      : [plain, [`${kind}, flaps and gear`, { ...usual, flaps: true, gear: true }] as const];
  });

/** Every unit in every airframe with every transmitter that go together, planned. */
export function together(
  airframes: readonly (readonly [name: string, answers: AirframeAnswers])[],
): { name: string; setup: Setup }[] {
  return Object.entries(UNITS).flatMap(([unitId, unit]) =>
    Object.entries(TRANSMITTERS).flatMap(([transmitterId, transmitter]) =>
      airframes.flatMap(([name, answers]) => {
        const airframe = buildAirframe(answers);
        const fits =
          unsuited(airframe, unit).length === 0 &&
          planChannels({ airframe, unit, transmitter, wishes: [], pins: [] }).impossible.length ===
            0;
        return fits
          ? [
              {
                name: `${unitId}, ${transmitterId}, ${name}`,
                setup: composeSetup('Any', airframe, unit, transmitter),
              },
            ]
          : [];
      }),
    ),
  );
}
