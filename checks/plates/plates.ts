/** Invented motor plates and drive labels in eight layouts, with what is true of each. */
import { pick, seeded } from '../random';

/** What stands on a plate; lists in the order of the plate, each value once. */
export interface PlateTruth {
  kind: 'motor' | 'drive';
  power: number[];
  volts?: number[];
  amps?: number[];
  hz?: number[];
  rpm?: number[];
  cosPhi?: number;
  serviceFactor?: number;
  insulationClass?: string;
  serial?: string;
  type?: string;
  phases?: number;
  inputVolts?: [number, number];
  outputAmps?: number[];
  waitMinutes?: number;
}

/** A plate as it is drawn. */
export interface MadePlate {
  name: string;
  html: string;
  truth: PlateTruth;
}

interface Motor {
  power: number;
  volts: [number, number];
  amps: [number, number];
  hz: number;
  rpm: number;
  cosPhi: number;
}

const rounded = (value: number): number => Number(value.toPrecision(value < 10 ? 2 : 3));

/** A motor that obeys P = √3 U I cos φ η. */
function motor(random: () => number, hz: number, volts: [number, number], power_kW: number): Motor {
  const poles = pick(random, [2, 4, 4, 4, 6]);
  const efficiency = Math.min(0.955, 0.79 + 0.05 * Math.log10(power_kW + 0.6) * 2.2);
  const cosPhi = Number((0.7 + 0.04 * Math.log(power_kW + 1) + 0.02 * random()).toFixed(2));
  const slip = 0.045 / Math.sqrt(power_kW) + 0.005;
  const amps = (u: number): number => rounded((power_kW * 1000) / (Math.sqrt(3) * u * cosPhi * efficiency));
  return {
    power: power_kW,
    volts,
    amps: [amps(volts[0]), amps(volts[1])],
    hz,
    rpm: Math.round((((120 * hz) / poles) * (1 - slip)) / 5) * 5,
    cosPhi: Math.min(0.92, cosPhi),
  };
}

const sheet = (css: string, body: string): string => `<!doctype html><meta charset="utf-8"><style>
*{box-sizing:border-box;margin:0}body{background:#777;padding:26px;width:1000px}td{font-weight:inherit}
.p{padding:26px 30px;width:940px;border-radius:10px;border:3px solid #333}
table{border-collapse:collapse;width:100%}.r td,.r th{border:2px solid;padding:7px 10px;text-align:center;font-weight:inherit}
.row{display:flex;justify-content:space-between;padding:7px 0}${css}</style><div class="p">${body}</div>`;

const sizes_kW = [0.75, 1.1, 1.5, 2.2, 3, 4, 5.5, 7.5, 11, 15, 18.5, 22, 30, 37, 45];
const serialOf = (random: () => number): string =>
  `${pick(random, ['K', 'W', 'H', 'R'])}${String(Math.floor(100_000 + 899_999 * random()))}`;

type Draw = (random: () => number) => Omit<MadePlate, 'name'>;

const ruledTable: Draw = (random) => {
  const kW = pick(random, sizes_kW);
  const at50 = motor(random, 50, [230, 400], kW);
  const at60 = { ...motor(random, 60, [460, 460], kW), rpm: Math.round((at50.rpm * 1.2 + 5) / 5) * 5 };
  const serial = serialOf(random);
  const row = (m: Motor, volts: string, amps: string): string =>
    `<tr><td>${volts}</td><td>${m.hz}</td><td>${m.power}</td><td>${amps}</td><td>${m.rpm}</td><td>${m.cosPhi.toFixed(2)}</td></tr>`;
  return {
    html: sheet(
      `.p{background:#d8d8d4;color:#111;font:500 30px Barlow}`,
      `<div class="row"><b>BRUNO HALL</b><span>3 ~ Motor</span><span>IEC 60034</span></div>
       <div class="row"><span>Type QM${Math.floor(80 + 80 * random())}L4</span><span>No. ${serial}</span><span>IP 55</span><span>Ins.cl. F</span></div>
       <table class="r"><tr><th>V</th><th>Hz</th><th>kW</th><th>A</th><th>r/min</th><th>cos φ</th></tr>
       ${row(at50, '230/400', `${at50.amps[0]}/${at50.amps[1]}`)}${row(at60, '460', `${at60.amps[1]}`)}</table>`,
    ),
    truth: {
      kind: 'motor',
      power: [kW],
      volts: [230, 400, 460],
      amps: [...new Set([...at50.amps, at60.amps[1]])],
      hz: [50, 60],
      rpm: [...new Set([at50.rpm, at60.rpm])],
      cosPhi: at50.cosPhi,
      insulationClass: 'F',
      serial,
      phases: 3,
    },
  };
};

const american: Draw = (random) => {
  const hp = pick(random, [1, 2, 3, 5, 7.5, 10, 15, 20, 25, 40]);
  const m = motor(random, 60, [230, 460], hp * 0.7457);
  const amps: [number, number] = [rounded(2 * m.amps[1]), m.amps[1]];
  const factor = pick(random, [1, 1.15, 1.25]);
  const serial = serialOf(random);
  const cell = (label: string, value: string): string => `<span>${label} <b>${value}</b></span>`;
  return {
    html: sheet(
      `.p{background:#e3e2dc;color:#1b1b1b;font:500 29px 'Barlow Semi Condensed'}b{font-weight:700}`,
      `<div class="row"><b>TRESTLE BROOK MOTORS</b><span>INDUCTION MOTOR</span></div>
       <div class="row">${cell('MODEL', `TB${hp}-${m.rpm}`)}${cell('SER. NO.', serial)}${cell('PH', '3')}</div>
       <div class="row">${cell('HP', String(hp))}${cell('VOLTS', '230/460')}${cell('AMPS', amps.join('/'))}</div>
       <div class="row">${cell('RPM', String(m.rpm))}${cell('HZ', '60')}${cell('S.F.', factor.toFixed(2))}${cell('P.F.', m.cosPhi.toFixed(2))}</div>
       <div class="row">${cell('INS. CL.', 'F')}${cell('DUTY', 'CONT')}${cell('AMB', '40 °C')}</div>`,
    ),
    truth: {
      ...{ kind: 'motor', power: [hp], volts: [230, 460], amps, hz: [60], rpm: [m.rpm], cosPhi: m.cosPhi },
      ...{ serviceFactor: factor, insulationClass: 'F', serial, phases: 3 },
    },
  };
};

const unitsBehind: Draw = (random) => {
  const m = motor(random, 50, [400, 690], pick(random, sizes_kW.slice(5)));
  const serial = serialOf(random);
  return {
    html: sheet(
      `.p{background:linear-gradient(100deg,#b9bcbf,#e8e9ea 45%,#a5a8ab);color:#222;font:500 32px 'IBM Plex Mono'}`,
      `<div class="row"><span>Typ NAR ${Math.floor(100 + 100 * random())} M</span><span>Nr ${serial}</span></div>
       <div class="row"><span>${m.power} kW</span><span>${m.volts.join('/')} V</span><span>${m.amps.join('/')} A</span></div>
       <div class="row"><span>${m.rpm} min-1</span><span>${m.hz} Hz</span><span>cos φ ${m.cosPhi.toFixed(2)}</span></div>
       <div class="row"><span>Th.Cl. 155(F)</span><span>IP 55</span><span>S1</span></div>`,
    ),
    truth: {
      ...{ kind: 'motor', power: [m.power], volts: m.volts, amps: m.amps, hz: [50], rpm: [m.rpm] },
      ...{ cosPhi: m.cosPhi, insulationClass: 'F', serial },
    },
  };
};

const darkEngraved: Draw = (random) => {
  const m = motor(random, 50, [400, 400], pick(random, sizes_kW));
  const pair = (label: string, value: string): string => `<tr><td>${label}</td><td>${value}</td></tr>`;
  return {
    html: sheet(
      `.p{background:#23262a;color:#dcdcd8;font:500 31px Barlow;width:620px}td{padding:5px 12px}`,
      `<div class="row"><span>ASYNCHRONOUS MOTOR</span></div><table>${pair('Power', `${m.power} kW`)}${pair('Voltage', `${m.volts[0]} V`)}${pair('Current', `${m.amps[0]} A`)}
       ${pair('Frequency', `${m.hz} Hz`)}${pair('Speed', `${m.rpm} rpm`)}${pair('Power factor', m.cosPhi.toFixed(2))}</table>`,
    ),
    truth: {
      ...{ kind: 'motor', power: [m.power], volts: [400], amps: [m.amps[0]], hz: [50], rpm: [m.rpm] },
      cosPhi: m.cosPhi,
    },
  };
};

const labelLines: Draw = (random) => {
  const kW = pick(random, sizes_kW.slice(0, 11));
  const out = rounded((kW * 1000) / (Math.sqrt(3) * 400 * 0.82 * 0.9));
  const wait = pick(random, [5, 10, 15]);
  const serial = serialOf(random);
  const type = `FQ${Math.floor(10 + 89 * random())}-4-${String(Math.round(kW * 10)).padStart(3, '0')}`;
  return {
    html: sheet(
      `.p{background:#fbfbf8;color:#111;font:500 28px Barlow}.row{justify-content:flex-start;gap:34px}`,
      `<div class="row"><b>Frequency converter</b><span>Type ${type}</span></div>
       <div class="row"><span>Input: 3~ 380-480 V</span><span>50/60 Hz</span><span>${rounded(out * 1.15)} A</span></div>
       <div class="row"><span>Output: 3~ 0-480 V</span><span>0-400 Hz</span><span>${out} A</span><span>${kW} kW</span></div>
       <div class="row"><span>S/N ${serial}</span><span>IP20</span></div>
       <div class="row"><span>Danger: wait ${wait} min after switching off.</span></div>`,
    ),
    truth: {
      ...{ kind: 'drive', power: [kW], inputVolts: [380, 480], outputAmps: [out], waitMinutes: wait },
      ...{ serial, type, phases: 3 },
    },
  };
};

const labelTable: Draw = (random) => {
  const kW = pick(random, sizes_kW.slice(0, 12));
  const out = rounded((kW * 1000) / (Math.sqrt(3) * 400 * 0.8 * 0.9));
  const serial = serialOf(random);
  const type = `VARIO${Math.floor(2 + 7 * random())}00/${Math.round(kW * 10)}`;
  return {
    html: sheet(
      `.p{background:#f4f4f0;color:#222;font:500 27px Barlow;width:760px}`,
      `<div class="row"><b>DRIVE</b><span>Model: ${type}</span></div>
       <table class="r"><tr><td></td><td>INPUT</td><td>OUTPUT</td></tr><tr><td>U (V)</td><td>3~ 380-500</td><td>3~ 0-500</td></tr>
       <tr><td>f (Hz)</td><td>50/60</td><td>0-300</td></tr><tr><td>I (A)</td><td>${rounded(out * 1.2)}</td><td>${out}</td></tr></table>
       <div class="row"><span>${kW} kW</span><span>Ser.no. ${serial}</span></div>`,
    ),
    truth: {
      ...{ kind: 'drive', power: [kW], inputVolts: [380, 500], outputAmps: [out], serial, type, phases: 3 },
    },
  };
};

const labelSmall: Draw = (random) => {
  const hp = pick(random, [0.5, 1, 2, 3, 5]);
  const out = rounded((hp * 745.7) / (Math.sqrt(3) * 230 * 0.75 * 0.85));
  const wait = pick(random, [1, 3, 5]);
  const serial = serialOf(random);
  const type = `LN-2-${String(hp * 10).padStart(3, '0')}`;
  return {
    html: sheet(
      `.p{background:#eceae2;color:#171717;font:500 29px 'Barlow Semi Condensed';width:640px}`,
      `<div class="row"><b>INVERTER</b></div><div class="row"><span>MODEL: ${type}</span></div>
       <div class="row"><span>POWER: ${hp} HP</span></div>
       <div class="row"><span>INPUT: 1PH 200-240V 50/60Hz</span></div>
       <div class="row"><span>OUTPUT: 3PH 0-240V ${out}A</span></div>
       <div class="row"><span>SERIAL: ${serial}</span></div><div class="row"><span>Wait ${wait} minutes before opening</span></div>`,
    ),
    truth: {
      ...{ kind: 'drive', power: [hp], inputVolts: [200, 240], outputAmps: [out], waitMinutes: wait },
      ...{ serial, type },
    },
  };
};

const twoByTwo: Draw = (random) => {
  const m = motor(random, 50, [230, 400], pick(random, sizes_kW.slice(0, 8)));
  const serial = serialOf(random);
  const cell = (label: string, value: string): string => `<td><small>${label}</small><br>${value}</td>`;
  return {
    html: sheet(
      `.p{background:#cfd3d6;color:#101010;font:500 32px 'Barlow Semi Condensed'}small{font-size:20px}.r td{text-align:left}`,
      `<table class="r"><tr>${cell('Type', `HD${Math.floor(60 + 90 * random())}`)}${cell('Serial no.', serial)}${cell('Ins. class', 'F')}${cell('kW', String(m.power))}</tr>
       <tr>${cell('V Δ/Y', m.volts.join('/'))}${cell('A Δ/Y', m.amps.join('/'))}${cell('Hz', String(m.hz))}${cell('rpm', String(m.rpm))}</tr>
       <tr>${cell('cos φ', m.cosPhi.toFixed(2))}${cell('IP', '55')}${cell('Duty', 'S1')}${cell('kg', String(Math.round(10 + m.power * 8)))}</tr></table>`,
    ),
    truth: {
      ...{ kind: 'motor', power: [m.power], volts: m.volts, amps: m.amps, hz: [50], rpm: [m.rpm] },
      ...{ cosPhi: m.cosPhi, insulationClass: 'F', serial },
    },
  };
};

const draws = {
  ruledTable,
  american,
  unitsBehind,
  darkEngraved,
  labelLines,
  labelTable,
  labelSmall,
  twoByTwo,
};

/** So many plates, over all layouts in turn. */
export function madePlates(count: number, seed = 23): MadePlate[] {
  const random = seeded(seed);
  const all = Object.entries(draws);
  return Array.from({ length: count }, (_, i) => {
    const [name, draw] = all[i % all.length] as (typeof all)[number];
    return { name: `${name} ${1 + Math.floor(i / all.length)}`, ...draw(random) };
  });
}
