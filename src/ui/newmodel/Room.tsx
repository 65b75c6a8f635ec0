import type { planChannels } from '@/core/plan';

/** Whether there are channels enough for what is chosen. */
export function Room({ plan }: { plan: ReturnType<typeof planChannels> }) {
  if (plan.impossible.length > 0)
    return (
      <p role="status" className="text-stop">
        {plan.impossible.join(' ')}
      </p>
    );
  if (plan.taken.length === 0) return null;
  return (
    <p role="status" className="text-caution">
      There are not enough channels: {plan.taken.map((w) => w.title.toLowerCase()).join('; ')}. You
      can choose otherwise in the channel plan.
    </p>
  );
}
