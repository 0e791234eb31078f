import { inputFunctionName } from '@/core/equipment/concepts';
import { FieldGrid } from '../../kit/section';
import { Choice, Select, optionsOf } from '../../kit/field';
import { Dial, SwitchRow, Switch } from './switches';
import type { RigState } from '@/api/rig-state';
import { Text } from '../../kit/text';

const hiddenWords: Readonly<Record<string, string>> = {
  groundFault: 'earth fault at the motor',
  encoderFitted: 'encoder fitted',
  fanStuck: 'fan stuck',
  prechargeOpen: 'precharge resistor open',
  transistorShort: 'IGBT shorted',
  prechargeRelayStuck: 'precharge relay stuck',
};
const phases = (names: readonly string[]) => [
  { value: '', label: 'none' },
  ...names.map((n) => ({ value: n, label: n })),
];

interface PartProps {
  rig: RigState;
  set: (changes: unknown) => void;
}

/** Contacts at the inputs, the keypad, and wires that are off. */
function Contacts({ rig, set }: PartProps) {
  const { plant, inputs } = rig;
  return (
    <>
      <Text fontWeight="500" mb="1">
        Contacts at the inputs
      </Text>
      <SwitchRow>
        {inputs.map(({ id, mark, does }) => (
          <Switch
            key={id}
            label={`${mark}, ${inputFunctionName(does)}`}
            words={['closed', 'open']}
            on={plant.contacts[id] === true}
            turn={(on) => set({ contacts: { ...plant.contacts, [id]: on } })}
          />
        ))}
        <Switch
          label="Keypad run"
          words={['pressed', 'not pressed']}
          on={plant.keypadRun}
          turn={(keypadRun) => set({ keypadRun })}
        />
      </SwitchRow>
      <Text fontWeight="500" mb="1">
        Wires off
      </Text>
      <SwitchRow>
        {inputs.map(({ id, mark }) => (
          <Switch
            key={id}
            label={`Wire of ${mark}`}
            words={['off its terminal', 'landed']}
            on={plant.wiresOff.includes(id)}
            turn={(off) =>
              set({ wiresOff: off ? [...plant.wiresOff, id] : plant.wiresOff.filter((w) => w !== id) })
            }
          />
        ))}
      </SwitchRow>
    </>
  );
}

/** Where the 24 V come from, safe torque off, mains and motor. */
function Wiring({ rig, set }: PartProps) {
  const { plant } = rig;
  const { mains, supply24, safeStop, motor } = plant;
  return (
    <>
      <FieldGrid min="300px">
        <Choice
          label="Contacts switch"
          value={plant.wiring}
          onChange={(wiring) => set({ wiring })}
          options={optionsOf({ source: 'plus', sink: 'minus' })}
        />
        <Choice
          label="24 V supply"
          value={supply24.from}
          onChange={(from) => set({ supply24: { from } })}
          options={optionsOf({ drive: 'the drive', foreign: 'elsewhere' })}
        />
      </FieldGrid>
      <SwitchRow>
        <Switch label="24 V" on={supply24.on} turn={(on) => set({ supply24: { on } })} />
        <Switch
          label="24 V return"
          words={['tied', 'missing']}
          on={supply24.returnTied}
          turn={(returnTied) => set({ supply24: { returnTied } })}
        />
        {rig.safeStop && (
          <>
            <Switch
              label="STO 1"
              words={['closed', 'open']}
              on={safeStop.channel1}
              turn={(channel1) => set({ safeStop: { channel1 } })}
            />
            <Switch
              label="STO 2"
              words={['closed', 'open']}
              on={safeStop.channel2}
              turn={(channel2) => set({ safeStop: { channel2 } })}
            />
            <Switch
              label="STO return"
              words={['tied', 'missing']}
              on={safeStop.returnTied}
              turn={(returnTied) => set({ safeStop: { returnTied } })}
            />
          </>
        )}
        <Switch label="Mains" on={mains.on} turn={(on) => set({ mains: { on } })} />
        <Switch
          label="Motor"
          words={['connected', 'cable off']}
          on={motor.connected}
          turn={(connected) => set({ motor: { connected } })}
        />
      </SwitchRow>
    </>
  );
}

/** What is turned: volts, references, load. */
function Dials({ rig, set }: PartProps) {
  const { plant } = rig;
  const { mains, motor, load } = plant;
  return (
    <>
      <FieldGrid>
        <Select
          label="Input phase lost"
          value={mains.lost ?? ''}
          onChange={(v) => set({ mains: { lost: v === '' ? null : v } })}
          options={phases(['L1', 'L2', 'L3'])}
        />
        <Select
          label="Output phase lost"
          value={motor.lost ?? ''}
          onChange={(v) => set({ motor: { lost: v === '' ? null : v } })}
          options={phases(['U', 'V', 'W'])}
        />
        <Dial label="Mains" unit="V" value={mains.volts} set={(volts) => set({ mains: { volts } })} />
        <Dial label="Analog 1" unit="V" value={plant.AI1} set={(AI1) => set({ AI1 })} />
        <Dial label="Analog 2" unit="V" value={plant.AI2} set={(AI2) => set({ AI2 })} />
        <Dial
          label="Potentiometer"
          unit="%"
          value={plant.knob_percent}
          set={(knob_percent) => set({ knob_percent })}
        />
        <Dial
          label="Load"
          unit="%"
          value={Math.round(load.torque * 100)}
          set={(percent) => set({ load: { torque: percent / 100 } })}
        />
        <Dial
          label="Run-up time"
          unit="s"
          value={load.inertia_s}
          set={(inertia_s) => set({ load: { inertia_s } })}
        />
        <Dial label="Ambient" unit="°C" value={plant.ambient_C} set={(ambient_C) => set({ ambient_C })} />
      </FieldGrid>
    </>
  );
}

/** The controller at the other end of the bus. */
function Serial({ rig, set }: PartProps) {
  const { serial } = rig.plant;
  return (
    <>
      <Text fontWeight="500" mb="1">
        Controller on the serial link
      </Text>
      <SwitchRow>
        <Switch label="Communicating" on={serial.talks} turn={(talks) => set({ serial: { talks } })} />
        <Switch label="Serial run" on={serial.run} turn={(run) => set({ serial: { run } })} />
        <Switch
          label="Coast"
          words={['released', 'held']}
          on={serial.coastRelease}
          turn={(coastRelease) => set({ serial: { coastRelease } })}
        />
      </SwitchRow>
    </>
  );
}

/** Faults that are in it. */
function Hidden({ rig, set }: PartProps) {
  const { hidden } = rig.plant;
  return (
    <>
      <Text fontWeight="500" mb="1">
        Hidden faults
      </Text>
      <SwitchRow>
        {Object.entries(hidden).map(([key, on]) => (
          <Switch
            key={key}
            label={hiddenWords[key] ?? key}
            words={['yes', 'no']}
            on={on}
            turn={(next) => set({ hidden: { [key]: next } })}
          />
        ))}
      </SwitchRow>
    </>
  );
}

/** How well its bus behaves. */
function BusManners({ rig, set }: PartProps) {
  const { bus } = rig.plant;
  return (
    <>
      <Text fontWeight="500" mb="1">
        Bus behaviour
      </Text>
      <SwitchRow>
        <Switch
          label="Silent"
          words={['yes', 'no']}
          on={bus.silent}
          turn={(silent) => set({ bus: { silent } })}
        />
        <Switch
          label="Cable"
          words={['out', 'in']}
          on={bus.cableOut}
          turn={(cableOut) => set({ bus: { cableOut, cutAtWrite: null } })}
        />
      </SwitchRow>
      <FieldGrid>
        <Dial
          label="Cable pulled at write no."
          unit="0: never"
          value={bus.cutAtWrite?.writes ?? 0}
          set={(writes) =>
            set({ bus: { cutAtWrite: writes < 1 ? null : { writes: Math.round(writes), arrives: true } } })
          }
        />
        <Dial
          label="Answers after"
          unit="ms"
          value={bus.delay_ms}
          set={(delay_ms) => set({ bus: { delay_ms } })}
        />
        <Dial
          label="Drops"
          unit="%"
          value={Math.round(bus.drop * 100)}
          set={(percent) => set({ bus: { drop: percent / 100 } })}
        />
        <Dial
          label="Garbles"
          unit="%"
          value={Math.round(bus.garble * 100)}
          set={(percent) => set({ bus: { garble: percent / 100 } })}
        />
        <Dial
          label="Busy"
          unit="%"
          value={Math.round(bus.busy * 100)}
          set={(percent) => set({ bus: { busy: percent / 100 } })}
        />
      </FieldGrid>
    </>
  );
}

/** Everything outside the drive, and what is hidden in it. */
export function PlantPanel(props: PartProps) {
  return (
    <>
      <Contacts {...props} />
      <Wiring {...props} />
      <Dials {...props} />
      <Serial {...props} />
      <Hidden {...props} />
      <BusManners {...props} />
    </>
  );
}
