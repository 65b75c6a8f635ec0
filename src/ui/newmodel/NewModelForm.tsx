'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { buildAirframe, usualAnswers } from '@/core/catalogue';
import { builtWith } from '@/core/model';
import { planChannels } from '@/core/plan';
import { kindEntry, kindOf, type AirframeKind } from '@/core/setup';
import type { HangarPart } from '@/server/hangar';
import type { NewModel } from '@/server/models';
import { send } from '../open/send';
import { Select } from '../parts/Select';
import { AirQuestions } from './AirQuestions';
import { Besides } from './Besides';
import { FormQuestion } from './FormQuestion';
import { KindCards } from './KindCards';
import { Leaflet } from './Leaflet';
import { Preview } from './Preview';
import { Room } from './Room';
import { UnitCards } from './UnitCards';
import { AILERON_WORDS } from './words';

/** The fewest questions that let the chain run. Everything asked here can be changed later. */
export function NewModelForm({ parts }: { parts: HangarPart[] }) {
  const router = useRouter();
  const [refused, setRefused] = useState('');
  const { register, handleSubmit, control, setValue, formState } = useForm<NewModel>({
    defaultValues: {
      name: '',
      kind: 'conventional',
      ailerons: 'y-lead',
      unit: 'menu-receiver',
      leaflet: 'yes',
      transmitter: 'line-sixteen',
      flaps: false,
      gear: false,
      brake: false,
      recovery: false,
      wheel: 'none',
      motors: 1,
      rudder: false,
      besides: [],
    },
  });
  const [kind, ailerons, unit, transmitter, flaps, gear, brake, recovery] = useWatch({
    control,
    name: ['kind', 'ailerons', 'unit', 'transmitter', 'flaps', 'gear', 'brake', 'recovery'],
  });
  const [wheel, motors, rudder, besides, leaflet] = useWatch({
    control,
    name: ['wheel', 'motors', 'rudder', 'besides', 'leaflet'],
  });
  const units = parts.filter((p) => p.kind === 'unit');
  const transmitters = parts.filter((p) => p.kind === 'transmitter');
  const chosenUnit = (units.find((p) => p.id === unit) ?? units[0]!).body;
  const chosenTransmitter = (transmitters.find((p) => p.id === transmitter) ?? transmitters[0]!)
    .body;
  const plain = buildAirframe({
    ...usualAnswers(kind),
    ailerons,
    flaps: flaps ?? false,
    gear: gear ?? false,
    brake: brake ?? false,
    wheel: wheel ?? 'none',
    motors: motors ?? 1,
    rudder: rudder ?? false,
  });
  const airframe = builtWith(plain, besides ?? []);
  const plan = planChannels({
    airframe,
    unit: chosenUnit,
    transmitter: chosenTransmitter,
    wishes: recovery ? ['recovery'] : [],
    pins: [],
  });
  const flies = !kindOf({ kind }).onSurface;
  const hasAilerons = usualAnswers(kind).ailerons !== 'none';

  const start = handleSubmit(async (answers) => {
    setRefused('');
    const reply = await send<{ id: string }>('POST', '/api/models', answers);
    if (reply.ok) router.push(`/models/${reply.value.id}/model`);
    else setRefused(reply.problems.map((p) => p.reason).join('; '));
  });

  return (
    <form onSubmit={start} noValidate className="grid gap-6 lg:grid-cols-[1fr_20rem]">
      <div className="card flex flex-col gap-5">
        <FormQuestion words="What do you call it?">
          <input
            {...register('name', {
              required: 'Give it a name, so that you find it on the shelf.',
              maxLength: { value: 80, message: 'At most 80 letters.' },
              validate: (v) =>
                v.trim() !== '' || 'Give it a name, so that you find it on the shelf.',
            })}
            className="field"
            autoComplete="off"
            aria-invalid={formState.errors.name !== undefined}
            aria-describedby="name-error"
          />
          <span id="name-error" role="alert" className="text-stop text-sm">
            {formState.errors.name?.message}
          </span>
        </FormQuestion>
        <KindCards
          field={register('kind', {
            onChange: (event: React.ChangeEvent<HTMLInputElement>) => {
              const next = event.target.value as AirframeKind;
              const drives = kindEntry(next).moves !== 'air';
              setValue('ailerons', usualAnswers(next).ailerons);
              if (drives !== !flies) {
                setValue('unit', drives ? 'steering-receiver' : 'menu-receiver');
                setValue('transmitter', drives ? 'surface-four' : 'line-sixteen');
              }
              setValue('wheel', 'none');
              setValue('rudder', false);
              setValue('besides', []);
              if (drives) setValue('motors', 1);
              if (drives)
                for (const extra of ['flaps', 'gear', 'brake', 'recovery'] as const)
                  setValue(extra, false);
            },
          })}
        />
        {hasAilerons && (
          <FormQuestion words="How are the ailerons moved?">
            <Select {...register('ailerons')}>
              {Object.entries(AILERON_WORDS).map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </Select>
          </FormQuestion>
        )}
        <Leaflet field={register('leaflet')} />
        {leaflet === 'no' ? (
          <UnitCards units={units} field={register('unit')} />
        ) : (
          <FormQuestion words="Which unit is most like yours?">
            <Select {...register('unit')}>
              {units.map((p) => (
                <option key={p.id} value={p.id}>
                  {p.body.name}
                  {p.shipped ? '' : ' (yours)'}
                </option>
              ))}
            </Select>
            <span className="text-soft text-sm">{chosenUnit.description}</span>
          </FormQuestion>
        )}
        <FormQuestion words="Which transmitter is most like yours?">
          <Select {...register('transmitter')}>
            {transmitters.map((p) => (
              <option key={p.id} value={p.id}>
                {p.body.name}
                {p.shipped ? '' : ' (yours)'}
              </option>
            ))}
          </Select>
          <span className="text-soft text-sm">{chosenTransmitter.description}</span>
        </FormQuestion>
        {flies && <AirQuestions register={register} kind={kind} rudder={rudder ?? false} />}
        <Besides plain={plain} field={register('besides')} />
        <Room plan={plan} />
        {refused && (
          <p role="alert" className="text-stop">
            {refused}
          </p>
        )}
        <button type="submit" className="btn btn-main self-start" disabled={formState.isSubmitting}>
          Put it on the bench
        </button>
      </div>
      <Preview airframe={airframe} />
    </form>
  );
}
