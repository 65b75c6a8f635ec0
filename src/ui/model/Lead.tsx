'use client';

import { FUNCTIONS, functionOf, kindOf, type Airframe, type ChannelFunction } from '@/core/setup';
import { useModel } from '../open/modelStore';
import { Select } from '../parts/Select';
import { useRefit } from './useRefit';

/** The function whose channel serves it where it has none of its own. */
const baseOf = (carries: ChannelFunction) => {
  const { standIn, stick } = functionOf(carries);
  return stick ? carries : (standIn ?? carries);
};

/** What a lead may carry besides: functions for the second of a pair. */
function othersFor(airframe: Airframe, base: ChannelFunction): ChannelFunction[] {
  const { onSurface } = kindOf(airframe);
  return FUNCTIONS.filter((f) => {
    const { standIn, role, stick, flies } = functionOf(f);
    const isSecond = standIn === base && role === functionOf(base).role && !stick;
    // A wheel is not the second of a rudder.
    return isSecond && f !== 'wheel' && !(onSurface && flies);
  });
}

/** What the lead of a servo or motor carries, where it is one of a pair and may have a channel of its own. */
export function Lead({ of }: { of: string }) {
  const { airframe } = useModel((s) => s.setup);
  const { take, refused } = useRefit();
  const actuators = [...airframe.servos, ...airframe.motors];
  const own = actuators.find((a) => a.id === of);
  if (!own) return null;
  const base = baseOf(own.carries);
  const others = othersFor(airframe, base);
  if (others.length === 0 || !actuators.some((a) => a !== own && baseOf(a.carries) === base))
    return null;
  const put = (carries: ChannelFunction) => {
    const change = <T extends { id: string }>(list: readonly T[]) =>
      list.map((a) => (a.id === of ? { ...a, carries } : a));
    take(
      {
        airframe: {
          ...airframe,
          servos: change(airframe.servos),
          motors: change(airframe.motors),
        },
      },
      `${own.label} on ${functionOf(carries).words}`.slice(0, 80),
    );
  };
  return (
    <label className="flex flex-col gap-1 text-sm font-semibold">
      its lead carries
      <Select value={own.carries} onChange={(e) => put(e.target.value as ChannelFunction)}>
        {[base, ...others].map((f) => (
          <option key={f} value={f}>
            {functionOf(f).words}
          </option>
        ))}
      </Select>
      {refused.map((reason) => (
        <span key={reason} role="alert" className="text-stop font-normal">
          Not changed: {reason}
        </span>
      ))}
    </label>
  );
}
