/** A word of the trade, as a newcomer needs it explained. */
export interface Term {
  id: string;
  /** As it heads its explanation. */
  title: string;
  /** The forms in which a text says it, in small letters. */
  forms: readonly string[];
  /** What it is, and what it is for: two sentences at most. */
  says: string;
}

/** @param forms as texts say it; where none are given, as its title */
const term = (title: string, says: string, ...forms: string[]): Term => ({
  id: title.toLowerCase().replace(/[^a-z]+/g, '-'),
  title,
  forms: forms.length > 0 ? forms : [title.toLowerCase()],
  says,
});

/** Every trade word the stations use. Explained once, wherever it is asked for. */
export const GLOSSARY: readonly Term[] = [
  term(
    'Unit',
    'The gyro that stabilizes the model: a receiver with a gyro inside, or a box between receiver and servos. It senses how the model turns and moves the surfaces against it.',
  ),
  term(
    'Gain',
    'How strongly the unit corrects. Too little does nothing, too much makes the model shake.',
    'gain',
    'gains',
  ),
  term(
    'Mode',
    'What the unit does while it is on: off, rate damping, attitude hold or self-levelling.',
    'mode',
    'modes',
  ),
  term(
    'Rate damping',
    'The unit works against every turn while it lasts. It does not bring the model back to where it was.',
    'rate damping',
    'damping',
  ),
  term(
    'Attitude hold',
    'The unit keeps the attitude the model had when you released the sticks.',
    'attitude hold',
  ),
  term(
    'Self-levelling',
    'With the sticks released the unit brings the model back to level flight, and limits how far it can bank.',
    'self-levelling',
    'levelling',
  ),
  term(
    'Correction',
    'What the unit does to a surface when the model turns. It must push against the turn: the wrong way round it makes every disturbance bigger.',
    'correction',
    'corrections',
    'correction direction',
  ),
  term(
    'Panic recovery',
    'A button that brings self-levelling from any mode at once, for when you have lost sight of the attitude.',
    'panic recovery',
    'panic',
  ),
  term(
    'Throttle cut',
    'A switch that holds the motor off whatever the throttle does. On whenever a hand is near the propeller.',
  ),
  term(
    'Failsafe',
    'What receiver and unit do when they no longer hear the transmitter. The motor must stop.',
  ),
  term(
    'Channel',
    'One number that the transmitter sends many times a second, such as the aileron position. The unit and each servo listen to one.',
    'channel',
    'channels',
  ),
  term(
    'Channel monitor',
    'A page of the transmitter that shows what each channel sends right now.',
    'channel monitor',
    'monitor',
  ),
  term(
    'Endpoint',
    'How far a channel goes to each side, in percent. It limits the travel of a servo.',
    'endpoint',
    'endpoints',
  ),
  term(
    'Subtrim',
    'A small shift of a channel’s centre, to get a surface in line. Use little of it: it costs travel on one side.',
    'subtrim',
    'subtrims',
  ),
  term(
    'Trim',
    'A small lever that shifts a stick’s centre while you fly or drive.',
    'trim',
    'trims',
  ),
  term('Expo', 'Makes a stick gentler around its centre and leaves full stick as it is.', 'expo'),
  term(
    'Rate',
    'How much of a stick’s travel is sent. A low rate softens the model.',
    'rates',
    'low rate',
  ),
  term(
    'Throw',
    'How far a surface moves from its centre, in millimetres at its edge or in degrees.',
    'throws',
  ),
  term(
    'Differential',
    'An aileron that goes further up than down, so that the nose does not swing out of a turn.',
  ),
  term(
    'Elevon',
    'A surface of a flying wing that works as aileron and elevator at once.',
    'elevon',
    'elevons',
    'delta',
  ),
  term(
    'V-tail',
    'Two tail surfaces that work as elevator and rudder at once. Somebody must mix the two sticks: the unit or the transmitter, never both.',
  ),
  term('Flaperon', 'An aileron that is also lowered as a flap.', 'flaperon', 'flaperons'),
  term('Wing type', 'Tells the unit whether it mixes a delta or a V-tail itself.'),
  term('Mix', 'Adds a share of one control to another channel.', 'mix', 'mixes', 'mixed'),
  term(
    'Servo',
    'The small motor that moves a surface to the position its channel sends.',
    'servo',
    'servos',
  ),
  term(
    'Horn',
    'The lever on a surface that the rod from the servo pulls at.',
    'horn',
    'horns',
    'servo arm',
  ),
  term(
    'Y-lead',
    'A cable that joins two servos on one plug, so both do the same.',
    'y-lead',
    'y-leads',
  ),
  term(
    'ESC',
    'The electronic speed controller between battery and motor.',
    'esc',
    'speed controller',
  ),
  term(
    'Bind',
    'Introduces a receiver to a transmitter, so that it hears this one and no other.',
    'bind',
    'binding',
  ),
  term(
    'Firmware',
    'The program inside a unit or transmitter. Bands and gestures move between versions, so write yours down.',
  ),
  term(
    'Capture',
    'The unit stores what it reads at this moment: stick centres and travel, or which attitude is level.',
    'capture',
    'captured',
    'captures',
  ),
  term(
    'Level capture',
    'The unit stores the present attitude as level flight. Lay the model as it flies, not as it stands.',
  ),
  term(
    'Stick fade',
    'The correction gets weaker as you move the stick, so that it does not fight you.',
    'stick fade',
    'fade',
  ),
  term(
    'Gain lead',
    'A separate cable from a channel of the receiver to the unit. It carries the gain.',
  ),
  term(
    'Momentary',
    'A switch that springs back when you release it.',
    'momentary',
    'momentary switch',
  ),
  term(
    'Latch',
    'Stays on after a short press, until something resets it.',
    'latch',
    'latched',
    'latches',
  ),
  term(
    'Pulse',
    'The signal on a servo lead, about 1000 to 2000 µs long. 1500 µs is the centre.',
    'pulse',
    'pulses',
    'µs',
  ),
  term('Position fix', 'The autopilot knows where it is. Without one it cannot fly home.'),
  term(
    'Pose',
    'A position of every control. The monitor must then show the numbers listed: that proves what you entered.',
    'pose',
    'poses',
  ),
  term(
    'Range check',
    'A test at reduced power that shows whether the radio link holds at a distance.',
  ),
];
