/** What one does on a page, and with which keys. */
export interface PageHelp {
  title: string;
  /** The three things one does here. */
  things: readonly [string, string, string];
  /** Keys beside Tab, Enter and the arrow keys of every page. */
  keys?: readonly (readonly [key: string, does: string])[];
}

const figureKeys = [
  ['Enter', 'save the reading and go to the next'],
  ['Tab', 'next field, Shift+Tab the one before'],
] as const;

/** Of the stages of a job, by their address. */
const stages: Readonly<Record<string, PageHelp>> = {
  call: {
    title: 'Call',
    things: [
      'Record what the machine was doing and what the display shows.',
      'Ask what was changed recently, and whether a fuse blew.',
      'Save, then go to the machine and read both nameplates.',
    ],
  },
  nameplates: {
    title: 'Nameplates',
    things: [
      'Choose the drive type, or enter its nameplate by hand. Leave empty what is not known.',
      'Enter the motor nameplate. Values that contradict each other are questioned at once.',
      'Take photographs of both nameplates.',
    ],
  },
  'as-found': {
    title: 'As found',
    things: [
      'Record the active fault and the fault log before anything is reset.',
      'Record selector and jumper positions.',
      'Where the display cannot be read, record why.',
    ],
  },
  inspection: {
    title: 'Inspection',
    things: [
      'Look and smell with power off, item by item.',
      'Record each item as clear, found or not checked; describe findings.',
      'Go to Make safe before reaching in.',
    ],
  },
  'fault-finding': {
    title: 'Fault finding',
    things: [
      'Answer the next check; the likely causes are updated.',
      'Without a fault, follow the run chain to the first open condition.',
      'Confirm the cause by fixing it, and record what to monitor.',
    ],
  },
  'make-safe': {
    title: 'Make safe',
    things: [
      'Confirm every energy source as isolated or absent; lock and tag.',
      'Prove the meter, measure every point, prove the meter again.',
      'The proof is valid for the person who made it, half an hour after the last entry.',
    ],
    keys: figureKeys,
  },
  'bench-test': {
    title: 'Bench test',
    things: [
      'Take the readings of the plan with the meter on diode test; red and black are shown on the terminal strip.',
      'Read the conclusion; take the suggested next test where it is not certain.',
      'Sign the test sheet under Hand-over.',
    ],
    keys: [
      ['0.451 Enter', 'save the reading and go on; 451 mV, .451 and 0,451 are the same'],
      ['O', 'OL'],
      ['S', 'short: 0.000'],
      ['C', 'still climbing: the meter charges the capacitor bank'],
      ['R', 'measure the last one again; both values are saved'],
      ['↑', 'back: correct a mistyped reading; the first stays in the log'],
      ['N', 'go to the suggested test'],
      ['space', 'meter by cable: confirm OL (a pedal sends the same)'],
    ],
  },
  'motor-and-cable': {
    title: 'Motor and cable',
    things: [
      'Disconnect drive, thermistors and encoder before the insulation test.',
      'Enter winding and insulation readings; they are corrected for temperature.',
      'Earth the winding as long as stated after each insulation test.',
    ],
  },
  'repair-or-replace': {
    title: 'Repair or replace',
    things: [
      'Enter prices, hours and chances; ranges are allowed.',
      'Choose the new unit and check row by row whether it fits.',
      'Record the decision and its reason.',
    ],
  },
  preparation: {
    title: 'Preparation',
    things: [
      'List every wire with its terminal and number; photograph the terminals.',
      'Plan the outage; see what shortens it.',
      'Print labels, wire list and drilling template.',
    ],
  },
  replacement: {
    title: 'Replacement',
    things: [
      'Start the outage timer when the machine stops; tick tasks as they are done.',
      'Remove the old unit only after the dead proof and with every wire known.',
      'Check every wire at both ends on the new unit.',
    ],
  },
  'first-power-up': {
    title: 'First power-up',
    things: [
      'Plan the expected bus voltage and the stop limits before switching on.',
      'Switch on through series lamps; enter the bus voltage.',
      'Compare outputs and waveforms; only then connect the motor.',
    ],
  },
  commissioning: {
    title: 'Commissioning',
    things: [
      'Enter load, control sources and installation; the start-up sheet follows.',
      'Enter or write every value in the order shown, and read back.',
      'Carry out the commissioning run, then sign.',
    ],
  },
  'hand-over': {
    title: 'Hand-over',
    things: [
      'Sign the test sheet; open or print it.',
      'Work through the checklist; accept each open item by name with its reason.',
      'Sign with the person who takes over; open the job report.',
    ],
  },
};

const jobs: PageHelp = {
  title: 'Jobs',
  things: [
    'Open a job; the one with the least time left is first.',
    'Search by machine, site, drive, serial number or fault.',
    'Start a new job.',
  ],
};

/** Of the pages outside a job, by their address. */
const pages: Readonly<Record<string, PageHelp>> = {
  '/jobs/new': {
    title: 'New job',
    things: [
      'Choose the machine and describe the trouble.',
      'Answer the questions about danger; clear the area first where people are at risk.',
      'Open the job; everything else can be added later.',
    ],
  },
  '/drive-types': {
    title: 'Drive types',
    things: [
      'Find parameters, faults, terminals, fuses and torques of a type.',
      'Read a manual to make a draft of a type.',
      'Add a type of your own from two files (shop lead).',
    ],
  },
  '/drive-types/edit': {
    title: 'Edit a drive type',
    things: [
      'Choose a part, open an item, change it; Undo takes any step back.',
      'Check tells what is wrong and where; only the shop lead saves.',
      'Compare an earlier version, go back to it, or hand the type on as one file.',
    ],
  },
  '/drive-types/manual': {
    title: 'Read a manual',
    things: [
      'Enter maker and range, then choose the manual or a parameter list.',
      'Answer the questions; those that unlock most come first.',
      'Check the meaning of each parameter and change it where it is wrong.',
    ],
  },
  '/simulator': {
    title: 'Simulator',
    things: [
      'Operate inputs, load and supply of a simulated drive.',
      'Hide a fault, and find it from a job over the drive link.',
      'Press the keys of the keypad, or run a key sequence.',
    ],
  },
  '/administration': {
    title: 'Administration',
    things: [
      'Set voltage limits and the list of drives (shop lead).',
      'Edit trace tables and consequences of failed parts.',
      'Import jobs; check system status and log hashes.',
    ],
  },
  '/administration/trace-tables': {
    title: 'Trace tables',
    things: [
      'Choose a fault; edit its causes and how often they occur.',
      'Edit checks: duration, hazard, and what each outcome shows.',
      'Save, or restore the default table.',
    ],
  },
  '/administration/status': {
    title: 'System status',
    things: [
      'See which part of the server needs attention, and what to do.',
      'Check the age of the last backup and of its test restore.',
      'Read the versions of all parts.',
    ],
  },
  '/scan': {
    title: 'Find a wire',
    things: [
      'Hold the code of a wire label in front of the camera.',
      'Or take a photograph of it.',
      'Or enter the text of a hand scanner.',
    ],
  },
};

/** The help of an address; of a paper or an address that is not known, that of the jobs. */
export function helpOf(path: string): PageHelp {
  const stage = /^\/jobs\/[^/]+\/([^/]+)$/.exec(path)?.[1];
  return (stage === undefined ? undefined : stages[stage]) ?? pages[path] ?? jobs;
}
