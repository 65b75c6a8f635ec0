'use client';

import { DEVICES, type Device } from '@/core/model';
import { deviceOn, devicesWished } from '@/core/plan';
import { placesOf } from '@/core/chain';
import type { DeviceWish, ProgramWishes } from '@/core/setup';
import { PickWord } from '../../parts/PickWord';
import { ControlWord } from '../ControlWord';
import type { Sentence, Sentenced } from '../wishing';

const put = (wishes: ProgramWishes, next: DeviceWish): ProgramWishes => ({
  ...wishes,
  devices: [...(wishes.devices ?? []).filter((d) => d.device !== next.device), next],
});

function Says({ device, setup, wishes, wish }: Sentenced & { device: Device }) {
  const own = devicesWished(setup, wishes).find((d) => d.device === device);
  const control = setup.transmitter.controls.find((c) => c.id === own?.wished?.control);
  const { label, states } = device;
  return (
    <>
      {label}, by{' '}
      <ControlWord
        label={`Control: ${label.toLowerCase()}`}
        setup={setup}
        kinds={['switch-2', 'switch-3', 'momentary', 'slider', 'knob']}
        value={own?.wished?.control}
        onPick={(id) => id && wish(put(wishes, deviceOn(setup, device, id)), `Control: ${label}`)}
      />
      {own?.wished && control && (
        <>
          :{' '}
          {own.wished.atPct.map((pct, i) => {
            const place = placesOf(control.kind)[i]![0];
            return (
              <span key={place}>
                {i > 0 && ', '}
                {place}{' '}
                <PickWord
                  label={`${label.toLowerCase()}, ${place}`}
                  value={String(pct)}
                  options={states.map((s) => ({ value: String(s.pct), words: s.words }))}
                  onPick={(value) => {
                    const wished = own.wished!;
                    const atPct = wished.atPct.map((p, j) => (j === i ? Number(value) : p));
                    wish(put(wishes, { ...wished, atPct }), `${label}, ${place}`);
                  }}
                />
              </span>
            );
          })}
        </>
      )}
      .
    </>
  );
}

/** One sentence a device the model has. */
export const DEVICE_SENTENCES: readonly Sentence[] = DEVICES.map((device) => ({
  title: device.label,
  applies: (setup) => setup.airframe.servos.some((s) => s.id === device.id),
  wished: () => true,
  controls: (w) => (w.devices ?? []).flatMap((d) => (d.device === device.id ? [d.control] : [])),
  Says: (props) => <Says device={device} {...props} />,
}));
