import { USUAL_LINKAGE, USUAL_SERVO } from '../model';
import {
  kindEntry,
  type Airframe,
  type AirframeKind,
  type ChannelFunction,
  type Linkage,
  type Measures,
  type Motor,
  type Servo,
  type Steering,
  type Surface,
  type SurfaceRole,
} from '../setup';

/** The few answers an airframe is built from; everything else gets a default that can be changed. */
export interface AirframeAnswers {
  kind: AirframeKind;
  ailerons: 'none' | 'one-servo' | 'y-lead' | 'two-outputs' | 'flaperons';
  flaps: boolean;
  gear: boolean;
  /** A wheel brake with a servo of its own. */
  brake: boolean;
  /** A steerable wheel: moved by the rudder's servo, by a Y-lead, or by an output of its own. */
  wheel: 'none' | 'shared' | 'separate';
  motors: 0 | 1 | 2;
  /** Only a flying wing asks: the others have one or cannot. */
  rudder: boolean;
}

const NO_EXTRAS = {
  flaps: false,
  gear: false,
  brake: false,
  wheel: 'none',
  motors: 1,
  rudder: false,
} as const;

/** The usual answers for a kind of airframe. */
export function usualAnswers(kind: AirframeKind): AirframeAnswers {
  return { kind, ailerons: kindEntry(kind).ailerons ? 'y-lead' : 'none', ...NO_EXTRAS };
}

/** Example measures per kind: invented, plausible, to be replaced by the person's own. */
const MEASURES: Record<AirframeKind, Measures> = {
  conventional: measures(1400, 1100, 230, 1600, 14, 8, 9, 'tail-wheel', 9),
  't-tail': measures(1600, 1200, 200, 1500, 15, 9, 12, 'nose-wheel', 0),
  'v-tail': measures(2000, 1150, 170, 1100, 13, 7, 16, 'belly', 0),
  'inverted-v-tail': measures(1800, 1300, 220, 2200, 16, 9, 11, 'nose-wheel', 0),
  'flying-wing': measures(1000, 550, 260, 800, 18, 9, 8, 'belly', 0),
  'three-channel': measures(1300, 950, 210, 800, 10, 6, 9, 'tail-wheel', 8),
  car: { ...measures(200, 420, 100, 1700, 12, 5, 1, 'wheels', 0), wheelbaseMm: 260, trackMm: 165 },
  boat: { ...measures(220, 800, 100, 2500, 8, 3, 1, 'hull', 0), wheelbaseMm: 600, trackMm: 200 },
};

/** A steering to start from, for a car of a tenth: invented, plausible, to be measured by its owner. */
export const USUAL_STEERING: Steering = {
  by: 'bell-crank',
  armMm: 16,
  linkMm: 45,
  crankInMm: 18,
  crankOutMm: 16,
  innerMm: 24,
  aheadMm: 0,
  kingpinMm: 140,
  knuckleMm: 20,
  knuckles: 'behind',
  knuckleDeg: 12,
  lockLeftDeg: 32,
  lockRightDeg: 32,
  toeDeg: 0,
  slopDeg: 1,
};

function measures(
  spanMm: number,
  lengthMm: number,
  chordMm: number,
  massG: number,
  cruiseMps: number,
  approachMps: number,
  glideRatio: number,
  stance: Measures['stance'],
  standingPitchDeg: number,
): Measures {
  return {
    spanMm,
    lengthMm,
    chordMm,
    massG,
    cruiseMps,
    approachMps,
    glideRatio,
    stance,
    wheelbaseMm: Math.round(lengthMm * 0.6),
    trackMm: Math.round(spanMm * 0.2),
    standingPitchDeg,
    flyingPitchDeg: 2,
  };
}

/**
 * Builds an airframe. Linkages are assumed to move the right way for a transmitter with nothing
 * reversed; what the real ones do is learned from what the person sees.
 */
export function buildAirframe(answers: AirframeAnswers): Airframe {
  const surfaces: Surface[] = [];
  const servos: Servo[] = [];
  const motors: Motor[] = [];
  const size = MEASURES[answers.kind];

  const servo = (id: string, label: string, carries: ChannelFunction) => {
    servos.push({ ...USUAL_SERVO, id, label, carries });
    return id;
  };
  const surface = (
    id: string,
    label: string,
    role: SurfaceRole,
    side: Surface['side'],
    on: string,
    sense: Linkage['sense'],
  ) => {
    const share = role === 'rudder' || role === 'ruddervator' ? 0.22 : 0.18;
    const chordMm = role === 'wheel' ? 30 : Math.round(size.chordMm * share);
    surfaces.push({
      id,
      label,
      role,
      side,
      servo: on,
      linkage: { ...USUAL_LINKAGE, sense },
      chordMm,
    });
  };
  const rudder = () => {
    surface(
      'rudder',
      'Rudder',
      'rudder',
      'centre',
      servo('rudder', 'Rudder servo', 'rudder'),
      'opposite',
    );
    // A wheel under the tail points left where one under the nose points right.
    const wheelSense = size.stance === 'tail-wheel' ? 'same' : 'opposite';
    if (answers.wheel === 'shared')
      surface('wheel', wheelLabel(size.stance), 'wheel', 'centre', 'rudder', wheelSense);
    if (answers.wheel === 'separate')
      surface(
        'wheel',
        wheelLabel(size.stance),
        'wheel',
        'centre',
        servo('wheel', 'Wheel servo', 'wheel'),
        wheelSense,
      );
  };
  const elevator = () =>
    surface(
      'elevator',
      'Elevator',
      'elevator',
      'centre',
      servo('elevator', 'Elevator servo', 'elevator'),
      'same',
    );

  if (answers.ailerons !== 'none') {
    const flaperons = answers.ailerons === 'flaperons';
    const role = flaperons ? 'flaperon' : 'aileron';
    const [onLeft, onRight] = flaperons
      ? ['Left flaperon', 'Right flaperon']
      : ['Left aileron', 'Right aileron'];
    let left: string;
    let right: string;
    if (answers.ailerons === 'one-servo')
      left = right = servo('aileron', 'Aileron servo', 'aileron');
    else {
      const two = answers.ailerons === 'two-outputs';
      left = servo(`${role}-left`, `${onLeft} servo`, flaperons ? 'flaperon-left' : 'aileron');
      right = servo(
        `${role}-right`,
        `${onRight} servo`,
        flaperons ? 'flaperon-right' : two ? 'aileron2' : 'aileron',
      );
    }
    surface(`${role}-left`, onLeft, role, 'left', left, 'same');
    surface(`${role}-right`, onRight, role, 'right', right, 'opposite');
  }
  switch (answers.kind) {
    case 'conventional':
    case 't-tail':
    case 'three-channel':
      elevator();
      rudder();
      break;
    case 'v-tail':
    case 'inverted-v-tail':
      surface(
        'panel-left',
        'Left V-tail panel',
        'ruddervator',
        'left',
        servo('panel-left', 'Left panel servo', 'vtail-left'),
        'same',
      );
      surface(
        'panel-right',
        'Right V-tail panel',
        'ruddervator',
        'right',
        servo('panel-right', 'Right panel servo', 'vtail-right'),
        'same',
      );
      break;
    case 'flying-wing':
      surface(
        'elevon-left',
        'Left elevon',
        'elevon',
        'left',
        servo('elevon-left', 'Left elevon servo', 'elevon-left'),
        'same',
      );
      surface(
        'elevon-right',
        'Right elevon',
        'elevon',
        'right',
        servo('elevon-right', 'Right elevon servo', 'elevon-right'),
        'same',
      );
      if (answers.rudder) rudder();
      break;
    case 'car': {
      const steering = servo('steering', 'Steering servo', 'steering');
      surface('wheel-left', 'Left front wheel', 'wheel', 'left', steering, 'opposite');
      surface('wheel-right', 'Right front wheel', 'wheel', 'right', steering, 'opposite');
      break;
    }
    case 'boat':
      surface(
        'rudder',
        'Rudder',
        'rudder',
        'centre',
        servo('steering', 'Rudder servo', 'steering'),
        'opposite',
      );
      break;
  }
  if (answers.flaps) {
    const flap = servo('flap', 'Flap servo', 'flap');
    surface('flap-left', 'Left flap', 'flap', 'left', flap, 'same');
    surface('flap-right', 'Right flap', 'flap', 'right', flap, 'same');
  }
  if (answers.gear)
    surface('gear', 'Retracts', 'gear', 'centre', servo('gear', 'Retract servo', 'gear'), 'same');
  if (answers.brake)
    surface(
      'brake',
      'Wheel brake',
      'brake',
      'centre',
      servo('brake', 'Brake servo', 'brake'),
      'same',
    );
  const motor = (id: string, label: string): Motor => ({
    id,
    label,
    carries: 'throttle',
    power: 'electric',
    stopUs: 1000,
    fullUs: 2000,
    ...(answers.kind === 'car'
      ? { reverse: 'brakes-then-reverses' as const }
      : answers.kind === 'boat'
        ? { reverse: 'reverses' as const }
        : {}),
  });
  if (answers.motors === 1) motors.push(motor('motor', 'Motor'));
  if (answers.motors === 2)
    motors.push(motor('motor-left', 'Left motor'), motor('motor-right', 'Right motor'));
  return {
    kind: answers.kind,
    measures: size,
    assumed: Object.keys(size) as (keyof Measures)[],
    surfaces,
    servos,
    motors,
  };
}

function wheelLabel(stance: Measures['stance']): string {
  return stance === 'tail-wheel' ? 'Tail wheel' : 'Nose wheel';
}
