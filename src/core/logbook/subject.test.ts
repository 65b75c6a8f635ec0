import { describe, expect, it } from 'vitest';
import { aboutOf, readingSubject, testSubject, type About, type Subject } from './index';

describe('the name of a piece of evidence', () => {
  it.each<[string, Subject, About | undefined]>([
    [
      'a step of a test',
      testSubject({ test: 'panic', item: 'from-1-of-2' }),
      { kind: 'test', test: 'panic', item: 'from-1-of-2' },
    ],
    [
      'a reading',
      readingSubject({ id: 'p1a2b-5', channel: 5 }),
      { kind: 'reading', pose: 'p1a2b-5', channel: 5 },
    ],
    [
      'a stick',
      { check: 'stick-roll', surface: 'aileron-left' },
      { kind: 'direction', check: 'stick-roll', surface: 'aileron-left', moved: 'stick' },
    ],
    [
      'a correction in a mode',
      { check: 'correction-roll-level', surface: 'wheel' },
      { kind: 'direction', check: 'correction-roll-level', surface: 'wheel', moved: 'model' },
    ],
    ['a test there is not', { check: 'test:toString', surface: 'x' }, undefined],
    ['a reading of no channel', { check: 'read:p1', surface: 'chx' }, undefined],
    ['a reading without a pose', { check: 'read:', surface: 'ch1' }, undefined],
    ['nothing of ours', { check: 'rudder', surface: 'ch1' }, undefined],
    ['nothing', { check: '', surface: '' }, undefined],
  ])('%s', (_, subject, about) => {
    expect(aboutOf(subject)).toEqual(about);
  });
});
