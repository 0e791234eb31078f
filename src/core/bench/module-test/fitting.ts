/** How a power module is fitted. Common practice, no source; the maker's figures count. */
export const moduleFitting: readonly { step: string; why: string }[] = [
  {
    step: 'Heat sink and base clean and flat: no old paste, no burr, no hair under a straight edge.',
    why: 'A gap of 0.1 mm costs more than thermal paste can compensate.',
  },
  {
    step: 'Thermal paste thin and even, 50 to 100 µm, by stencil or roller; the metal just shows through.',
    why: 'Thick paste insulates, and the module bends when it is screwed down.',
  },
  {
    step: 'Tighten screws crosswise in two rounds: one third of the torque, then full torque; check again after the first warm-up.',
    why: 'Tightening one corner first cracks the substrate.',
  },
  {
    step: 'Refit snubbers and bus bars in the original position and length, with terminal torque.',
    why: 'A few centimetres of extra lead add tens of volts at every turn-off.',
  },
  {
    step: 'Gate leads twisted and short, on the correct gate and emitter; wrist strap on until the last one is connected.',
    why: 'Static discharge destroys an open gate.',
  },
  {
    step: 'Inspect its gate driver and gate resistors and compare them with the other phases before power is applied.',
    why: 'The cause of the module failure is often still present.',
  },
];
