'use client';

import { Command } from 'cmdk';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { tagsOf, tagWords } from '@/core/controls';
import { saidOf, STATION_IDS, STEPS, stationTitle, surfacesAt } from '@/core/procedure';
import { GLOSSARY, type Term } from '@/core/glossary';
import { settingGroups } from '@/core/settings';
import { functionOf, type Setup } from '@/core/setup';
import { RULES } from '@/core/verify';
import { useRig, type Pointed } from '../live/rigStore';
import { useModel } from '../open/modelStore';
import { SYNONYMS } from '../words/synonyms';
import { send } from '../open/send';

interface Entry {
  kind: string;
  words: string;
  more?: string;
  /** Where it leads, below the model; or what it explains. */
  to: string | Term;
  /** What is shown of it on the rig. */
  at?: Pointed;
}

/** Everything of one model that has a name and a place. */
function entriesOf(setup: Setup): Entry[] {
  return [
    ...STATION_IDS.map((id) => ({
      kind: 'Stations',
      words: stationTitle(id, setup),
      more: STEPS.filter((s) => s.station === id).map((s) => saidOf(s, setup).does)[0] ?? '',
      to: id,
    })),
    ...SYNONYMS.map(([words, at]) => {
      const to = at === 'throws' ? surfacesAt(setup) : at;
      return { kind: 'Words', words, more: stationTitle(to, setup), to };
    }),
    ...tagsOf(setup).map((tag) => ({
      kind: 'Controls',
      words: tagWords(tag),
      to: 'program',
      at: { controls: [tag.control.id] },
    })),
    ...setup.airframe.surfaces.map((s) => ({
      kind: 'Surfaces',
      words: s.label,
      to: surfacesAt(setup),
      at: { surfaces: [s.id] },
    })),
    ...setup.program.outputs.map((o) => ({
      kind: 'Channels',
      words: `Channel ${o.channel}: ${functionOf(o.carries).words}`,
      to: 'plan',
    })),
    ...settingGroups(setup).map((g) => ({
      kind: 'Settings of the unit',
      words: g.title,
      more: g.rows.map((r) => r.name).join(', '),
      to: 'settings',
    })),
    ...GLOSSARY.map((t) => ({
      kind: 'Explained',
      words: t.title,
      more: t.says,
      to: t,
    })),
    ...RULES.map((r) => ({ kind: 'Mistakes that are looked for', words: r.title, to: 'proof' })),
  ];
}

/** Jumps to any station, control, surface, channel, setting, rule or model. */
export function FindList({
  onClose,
  onExplain,
}: {
  onClose: () => void;
  onExplain: (term: Term) => void;
}) {
  const router = useRouter();
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const touch = useRig((s) => s.touch);
  const entries = useMemo(() => entriesOf(setup), [setup]);
  const [models, setModels] = useState<{ id: string; name: string }[]>([]);
  useEffect(() => {
    void send<{ id: string; name: string }[]>('GET', '/api/models', undefined).then((reply) => {
      if (reply.ok) setModels(reply.value);
    });
  }, []);
  const go = (path: string, at?: Pointed) => {
    onClose();
    if (at) touch(at);
    router.push(path);
  };
  const item =
    'flex min-h-11 cursor-pointer flex-col justify-center rounded px-2 py-1 data-[selected=true]:bg-(--shade)';
  return (
    <Command.Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      label="Find anything"
      overlayClassName="fixed inset-0 z-40 bg-black/40"
      contentClassName="card fixed top-[8vh] left-1/2 z-50 w-[min(40rem,94vw)] -translate-x-1/2"
    >
      <Command.Input
        autoFocus
        placeholder="A station, control, channel, setting, mistake, model …"
        className="field"
      />
      <Command.List className="mt-2 max-h-[60vh] overflow-y-auto">
        <Command.Empty className="text-soft p-2">Nothing here has that name.</Command.Empty>
        {[...new Set(entries.map((e) => e.kind))].map((kind) => (
          <Command.Group
            key={kind}
            heading={kind}
            className="[&_[cmdk-group-heading]]:text-soft [&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-xs [&_[cmdk-group-heading]]:font-semibold"
          >
            {entries
              .filter((e) => e.kind === kind)
              .map((e, i) => (
                <Command.Item
                  key={`${e.words} ${i}`}
                  value={`${e.words} ${e.more ?? ''} ${i}`}
                  className={item}
                  onSelect={() => {
                    if (typeof e.to === 'string') return go(`/models/${id}/${e.to}`, e.at);
                    onClose();
                    onExplain(e.to);
                  }}
                >
                  {e.words}
                  {e.more && <span className="text-soft text-sm">{e.more}</span>}
                </Command.Item>
              ))}
          </Command.Group>
        ))}
        {models.length > 0 && (
          <Command.Group heading="Models">
            {models.map((m) => (
              <Command.Item
                key={m.id}
                value={`${m.name} ${m.id}`}
                className={item}
                onSelect={() => go(`/models/${m.id}/job`)}
              >
                {m.name}
              </Command.Item>
            ))}
          </Command.Group>
        )}
      </Command.List>
    </Command.Dialog>
  );
}
