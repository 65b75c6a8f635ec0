import { carriedChannels } from '../../../../chain';
import type { Setup } from '../../../../setup';
import type { Dependency } from '../../part';
import { orderInputs, ordersOf, throttlePart } from '../../shared';

/** What a test of panic or failsafe with the model in hand depends on. */
export function partsOfTest(setup: Setup, test: 'panic' | 'failsafe'): Dependency[] {
  const { program, unit, installation, transmitter } = setup;
  const { settings, traits } = unit;
  const { revisions } = installation;
  const shared: Dependency[] = [
    {
      key: 'orders',
      title: 'the program of mode, gain or panic',
      value: ordersOf(setup),
    },
    {
      key: 'unit-modes',
      title: 'the modes set in the unit',
      value: [settings.slots, traits.modeSelect, orderInputs(setup)],
    },
    {
      key: 'unit-work',
      title: 'the unit (reset, firmware, moved)',
      value: [
        revisions.unitReset,
        revisions.unitFirmware,
        installation.unitFirmware,
        revisions.unitMoved,
        installation.mounting,
        settings.orientation,
      ],
    },
    {
      key: 'model-work',
      title: 'the model (servo, linkage, crash)',
      value: [revisions.servoReplaced, revisions.linkageChanged, revisions.crash],
    },
    {
      key: 'radio',
      title: 'the radio (module, firmware, link)',
      value: [
        revisions.radioModule,
        revisions.transmitterFirmware,
        installation.transmitterFirmware,
        carriedChannels({ transmitter }),
        transmitter.pulse,
      ],
    },
  ];
  if (test === 'panic')
    return [
      ...shared,
      {
        key: 'recovery',
        title: 'recovery and angle limits in the unit',
        value: [settings.recovery, settings.angleLimitsDeg, traits.panic],
      },
    ];
  return [
    ...shared,
    {
      key: 'failsafe',
      title: 'the failsafe',
      value: [program.failsafe, settings.failsafe, traits.failsafe],
    },
    throttlePart(setup),
  ];
}
