/** How a power module is fitted. Common practice, no source; the maker's figures count. */
export const moduleFitting: readonly { step: string; why: string }[] = [
  {
    step: 'Heat sink and base clean and flat: no old paste, no burr, no hair under a straight edge.',
    why: 'A gap of a tenth of a millimetre costs more than the paste gives.',
  },
  {
    step: 'Paste thin and even, 50 to 100 µm, by stencil or roller; the grey of the metal just shows through.',
    why: 'Thick paste is an insulator, and a module on it bends when it is screwed down.',
  },
  {
    step: 'Screws crosswise in two rounds: a third of the torque first, all of it then; once more after the first heat.',
    why: 'One corner pulled down first cracks the substrate.',
  },
  {
    step: 'Snubbers and bus bars back where they were, as short as they were, with the torque of the terminals.',
    why: 'A few centimetres more of lead are tens of volts more at every turn-off.',
  },
  {
    step: 'Gate leads twisted, short, on their own gate and emitter; wrist strap on until the last one is in.',
    why: 'A gate that is open is a gate that dies.',
  },
  {
    step: 'Its gate driver and the resistors beside it looked at and measured against their neighbours before it is switched on.',
    why: 'What killed the module is often still there.',
  },
];
