import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { TRANSMITTERS, UNITS, buildAirframe, usualAnswers } from '../catalogue';
import { composeSetup, unsuited } from '../plan';
import { AIRFRAME_KINDS } from '../setup';
import { gainLeadOf, leadWords, leadsOf } from './index';

const PAIRS = Object.keys(UNITS).flatMap((unit) =>
  AIRFRAME_KINDS.filter(
    (kind) => unsuited(buildAirframe(usualAnswers(kind)), UNITS[unit]!).length === 0,
  ).map((kind) => [unit, kind] as const),
);

describe('every lead', () => {
  it.each(PAIRS)(
    '%s in a %s: each servo and motor hangs on one plug, in the order of the plugs',
    (unit, kind) => {
      const setup = composeSetup(
        'Wired',
        buildAirframe(usualAnswers(kind)),
        UNITS[unit]!,
        TRANSMITTERS[kind === 'car' || kind === 'boat' ? 'surface-four' : 'line-sixteen']!,
      );
      const leads = leadsOf(setup);
      const ends = leads.flatMap((l) => l.ends);
      const labels = [...setup.airframe.servos, ...setup.airframe.motors].map((a) => a.label);
      expect([...ends].sort()).toEqual([...labels].sort());
      const order = setup.unit.traits.ports.map((p) => p.id);
      const places = leads.map((l) => order.indexOf(l.port));
      expect(places).toEqual([...places].sort((a, b) => a - b));
      for (const lead of leads) {
        expect(lead.yLead).toBe(lead.ends.length > 1);
        expect(leadWords(lead)).toContain(lead.ends.join(' and '));
        expect(leadWords(lead).includes('Y-lead')).toBe(lead.yLead);
      }
    },
  );
  it('says what is steadied and what sits on the receiver', () => {
    const between = makeSetup('conventional', 'button-stabilizer');
    const words = leadsOf(between).map(leadWords);
    expect(words.some((w) => w.includes('(on the receiver)'))).toBe(true);
    expect(words.filter((w) => w.includes('stabilized')).length).toBeGreaterThan(0);
    expect(words.find((w) => w.includes('Motor'))).not.toContain('stabilized');
  });
  it('the gain lead is named only where there is one', () => {
    expect(gainLeadOf(makeSetup())).toBeUndefined();
    expect(gainLeadOf(makeSetup('conventional', 'dial-gyro'))).toBeUndefined();
    const beside = makeSetup('conventional', 'satellite-gyro');
    const gain = beside.unit.settings.inputs.find((i) => i.carries === 'gain');
    if (beside.unit.traits.place !== 'receiver' && gain) {
      expect(gainLeadOf(beside)?.label).toContain(`channel ${gain.channel}`);
      beside.installation.gainLead = false;
      expect(gainLeadOf(beside)?.label).toBe('Gain lead: not plugged in.');
    }
  });
});
