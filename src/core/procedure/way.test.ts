import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '../catalogue';
import { composeSetup } from '../plan';
import type { Setup } from '../setup';
import { findingsOf, type Finding } from '../verify';
import {
  jobOf,
  nextFrom,
  nextStep,
  PLACE_IDS,
  STATION_IDS,
  STEPS,
  stationTitle,
  wayOf,
  saidOf,
} from './index';

const lookedAt = (setup: Setup) => {
  const bench = { setup, evidence: [], findings: findingsOf(setup) };
  const job = jobOf(bench);
  return { job, way: wayOf(bench, job) };
};

/** A finding as they come, about anything. */
const found: Finding = {
  rule: 'M2',
  severity: 'stop',
  says: 'The modes are the wrong way round.',
  where: '/unit',
  remedies: [],
  requirements: [],
};

describe('the way', () => {
  it('names every station once, and every step by the station it is done at', () => {
    const titles = STATION_IDS.map((id) => stationTitle(id, makeSetup()));
    expect(new Set(titles).size).toBe(titles.length);
    expect(titles.every((t) => t !== '')).toBe(true);
    for (const step of STEPS)
      expect(stationTitle(step.station, makeSetup()), step.id).toBe(
        saidOf(step, makeSetup()).title,
      );
  });
  it('has every step that applies under one of its five groups, and nothing else', () => {
    const { job, way } = lookedAt(makeSetup());
    const places = way.flatMap((p) => p.places.map((x) => x.id));
    for (const { step } of job) expect(places, step.id).toContain(step.station);
    expect(way.map((p) => p.title)).toEqual([
      'On paper',
      'At the table, nothing powered',
      'Powered, propeller off',
      'Link off',
      'Outside',
    ]);
    expect(places).toEqual(PLACE_IDS.filter((id) => places.includes(id)));
  });
  it('leaves out what a car has not', () => {
    const car = composeSetup(
      'Car',
      buildAirframe(usualAnswers('car')),
      UNITS['steering-receiver']!,
      TRANSMITTERS['surface-four']!,
    );
    const places = lookedAt(car).way.flatMap((p) => p.places.map((x) => x.id));
    for (const id of ['calibration', 'level', 'panic']) expect(places).not.toContain(id);
  });
  it('says nothing of a station before anything is proved', () => {
    const way = wayOf({ setup: makeSetup(), evidence: [], findings: undefined });
    expect(way.flatMap((p) => p.places).every((p) => p.status === undefined)).toBe(true);
  });
  it('stops at the part of the Setup that a finding is about, and at the proof', () => {
    const setup = makeSetup();
    const finding = { ...found, where: '/unit/settings/slots/1' };
    const { job } = lookedAt(setup);
    const way = wayOf({ setup, evidence: [], findings: [finding] }, job);
    const at = new Map(way.flatMap((p) => p.places.map((x) => [x.id, x.status])));
    expect(at.get('unit')).toBe('stop');
    expect(at.get('proof')).toBe('stop');
    // Nothing was found against these, and nothing has shown them either.
    expect(at.get('plan')).toBe('assumed');
    expect(at.get('transmitter')).toBe('assumed');
  });
  it('goes on with what the bench is set up for, and never to where one is', () => {
    const { job } = lookedAt(makeSetup());
    for (const { step } of job) {
      const next = nextFrom(job, step.station);
      expect(next?.step.station).not.toBe(step.station);
    }
    expect(nextFrom(job, undefined)?.step.id).toBe(nextStep(job)?.step.id);
    const powered = nextFrom(job, 'identify')!;
    expect(['table', 'prop-off']).toContain(powered.step.session);
  });
});
