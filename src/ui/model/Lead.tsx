'use client';

import { withLeads } from '@/core/model';
import { functionOf, kindOf, leadChoices, servedBy, type ChannelFunction } from '@/core/setup';
import { useModel } from '../open/modelStore';
import { Select } from '../parts/Select';
import { Refusals, useRefit } from '../open/useRefit';

/** What the lead of a servo or motor carries, where it is one of a pair and may have a channel of its own. */
export function Lead({ of }: { of: string }) {
  const { airframe } = useModel((s) => s.setup);
  const { take, refused } = useRefit();
  const actuators = [...airframe.servos, ...airframe.motors];
  const own = actuators.find((a) => a.id === of);
  if (!own) return null;
  const base = servedBy(own.carries);
  const choices = leadChoices(base, kindOf(airframe).onSurface);
  const paired = actuators.some((a) => a !== own && servedBy(a.carries) === base);
  if (!paired || choices.length === 1) return null;
  const put = (carries: ChannelFunction) =>
    take(
      { airframe: withLeads(airframe, { [of]: carries }) },
      `${own.label} on ${functionOf(carries).words}`.slice(0, 80),
    );
  return (
    <label className="flex flex-col gap-1 text-sm font-semibold">
      its lead carries
      <Select value={own.carries} onChange={(e) => put(e.target.value as ChannelFunction)}>
        {choices.map((f) => (
          <option key={f} value={f}>
            {functionOf(f).words}
          </option>
        ))}
      </Select>
      <Refusals reasons={refused} />
    </label>
  );
}
