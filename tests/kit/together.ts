import {
  TRANSMITTERS,
  UNITS,
  buildAirframe,
  usualAnswers,
  type AirframeAnswers,
} from '@/core/catalogue';
import { composeSetup, planChannels, unsuited } from '@/core/plan';
import {
  AIRFRAME_KINDS,
  kindOf,
  type Airframe,
  type Setup,
  type Transmitter,
  type Unit,
} from '@/core/setup';

/** Every kind of airframe, aeroplanes with flaps and gear as well. */
export const AIRFRAMES_TO_TRY: readonly (readonly [name: string, answers: AirframeAnswers])[] =
  AIRFRAME_KINDS.flatMap((kind) => {
    const usual = usualAnswers(kind);
    const plain = [kind, usual] as const;
    return kindOf({ kind }).onSurface
      ? [plain]
      : [plain, [`${kind}, flaps and gear`, { ...usual, flaps: true, gear: true }] as const];
  });

/** Parts that go together; planned when a test takes them up, since most are another day's. */
class Parts {
  private planned: Setup | undefined;
  constructor(
    readonly name: string,
    private readonly airframe: Airframe,
    private readonly unit: Unit,
    private readonly transmitter: Transmitter,
  ) {}
  get setup(): Setup {
    return (this.planned ??= composeSetup('Any', this.airframe, this.unit, this.transmitter));
  }
}

/** Every unit in every airframe with every transmitter that go together, planned. */
export function together(
  airframes: readonly (readonly [name: string, answers: AirframeAnswers])[],
): { readonly name: string; readonly setup: Setup }[] {
  return Object.entries(UNITS).flatMap(([unitId, unit]) =>
    Object.entries(TRANSMITTERS).flatMap(([transmitterId, transmitter]) =>
      airframes.flatMap(([name, answers]) => {
        const airframe = buildAirframe(answers);
        const fits =
          unsuited(airframe, unit).length === 0 &&
          planChannels({ airframe, unit, transmitter, wishes: [], pins: [] }).impossible.length ===
            0;
        return fits
          ? [new Parts(`${unitId}, ${transmitterId}, ${name}`, airframe, unit, transmitter)]
          : [];
      }),
    ),
  );
}
