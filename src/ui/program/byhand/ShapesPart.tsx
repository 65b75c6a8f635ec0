'use client';

import { Plus, Trash2 } from 'lucide-react';
import { addEntry, changeLine, putEntry, removeEntry } from '@/core/edit';
import { shapeAt } from '@/core/chain';
import type { Setup, Shape } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { useModel } from '../../open/modelStore';
import { EntryRow, takeOut, usePut } from './EntryRow';
import { NameWord } from './NameWord';
import { Part } from './Part';
import { ShapeDrawing } from './ShapeDrawing';

const MOST_POINTS = 17;

/** Shapes that lines go through: points drawn, pulled or typed, straight between them. */
export function ShapesPart() {
  const setup = useModel((s) => s.setup);
  const { shapes } = setup.program;
  return (
    <Part
      id="shapes"
      title="Shapes"
      says="What a line follows can go through a shape: straight between its points, level beyond them."
      add={[
        {
          words: 'Add a shape',
          patch: addEntry(setup, 'shapes', {
            label: `Shape ${shapes.length + 1}`,
            points: [-100, 0, 100].map((v) => ({ inPct: v, outPct: v })),
          }),
        },
      ]}
    >
      {shapes.map((s, i) => (
        <EntryRow
          key={s.id}
          name={s.label}
          owner={s.owner}
          acts={[takeOut(withoutShape(setup, s.id))]}
        >
          <Words setup={setup} shape={s} at={i} />
        </EntryRow>
      ))}
    </Part>
  );
}

/** A shape goes, and the lines that went through it go on in a straight line. */
const withoutShape = (setup: Setup, id: string) => [
  ...setup.program.lines
    .filter((l) => l.shape === id)
    .flatMap((l) => changeLine(setup, l.id, { shape: undefined })),
  ...removeEntry(setup, 'shapes', id),
];

function Words({ setup, shape, at }: { setup: Setup; shape: Shape; at: number }) {
  const put = usePut();
  const { label: name, points } = shape;
  const change = (next: Partial<Shape>, words: string) =>
    put(putEntry(setup, 'shapes', { ...shape, ...next }), words);
  const number = (i: number, key: 'inPct' | 'outPct') => (
    <NumberWord
      label={`${name}: point ${i + 1}, ${key === 'inPct' ? 'in' : 'out'}`}
      unit="%"
      at={`/program/shapes/${at}/points/${i}/${key}`}
      value={points[i]![key]}
      onCommit={(v) =>
        change({ points: points.with(i, { ...points[i]!, [key]: v }) }, `point ${i + 1}: ${v} %`)
      }
    />
  );
  return (
    <span className="flex flex-wrap items-start gap-4">
      <ShapeDrawing
        name={name}
        points={points}
        onPut={(next, i) => change({ points: next }, `point ${i + 1} moved`)}
      />
      <span className="flex min-w-48 flex-col">
        <NameWord
          label={`${name}: name`}
          value={name}
          onCommit={(label) => change({ label }, `is called ${label}`)}
        />
        {points.map((_, i) => (
          <span key={i} className="flex items-center gap-1">
            {number(i, 'inPct')} → {number(i, 'outPct')}
            {points.length > 2 && (
              <button
                type="button"
                className="text-soft inline-flex min-h-6 items-center px-1"
                aria-label={`Remove point ${i + 1}: ${name}`}
                onClick={() => change({ points: points.toSpliced(i, 1) }, 'a point removed')}
              >
                <Trash2 size={14} aria-hidden />
              </button>
            )}
          </span>
        ))}
        {points.length < MOST_POINTS && (
          <button
            type="button"
            className="text-accent flex min-h-6 items-center gap-1 text-sm font-semibold hover:underline"
            aria-label={`Add a point: ${name}`}
            onClick={() => change({ points: withOneMore(points) }, 'point added')}
          >
            <Plus size={14} aria-hidden />
            add a point
          </button>
        )}
      </span>
    </span>
  );
}

/** A point in the middle of the widest gap, where the shape already goes. */
function withOneMore(points: Shape['points']): Shape['points'] {
  const gaps = points.slice(1).map((p, i) => p.inPct - points[i]!.inPct);
  const i = gaps.indexOf(Math.max(...gaps));
  const inPct = Math.round((points[i]!.inPct + points[i + 1]!.inPct) / 2);
  return points.toSpliced(i + 1, 0, { inPct, outPct: Math.round(shapeAt(points, inPct)) });
}
