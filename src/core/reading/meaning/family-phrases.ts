import type { AlarmFamily } from '../../equipment/concepts';

// Common practice, no source: how manuals call their faults.

/** What manuals call each family of faults; ways to say it are parted by "|". */
export const familyPhrases: Readonly<Record<AlarmFamily, string>> = {
  none: 'no fault|no error|no alarm|none',
  overcurrent:
    'overcurrent|over current|oc|current too high|excess current|output overcurrent|hardware overcurrent|excessive current|motor current too high|software overcurrent|output current above limit|overcurrent trip|peak current',
  'overcurrent-accelerating':
    'overcurrent accel|overcurrent during accel|overcurrent in acceleration|overcurrent while speeding up|overcurrent at start|acceleration overcurrent|current too high during run-up|overcurrent accelerating|too much current on run-up|oc accel',
  'overcurrent-steady':
    'overcurrent constant speed|overcurrent at constant speed|overcurrent steady|overcurrent at speed|overcurrent during steady run|overcurrent at constant running|constant speed overcurrent|overcurrent in steady state|overcurrent running|current too high at constant speed',
  'overcurrent-decelerating':
    'overcurrent decel|overcurrent during decel|overcurrent in deceleration|overcurrent while slowing down|deceleration overcurrent|current too high during run-down|overcurrent decelerating|overcurrent stopping|too much current on run-down',
  desaturation:
    'power unit|desaturation|desat|power module|igbt|ipm|igbt fault|power module fault|gate driver|module fault|power stage|transistor fault|ipm fault|igbt failure|power stage fault|inverter module|power unit fault|switch fault|gate driver feedback|inverter unit protection|power module protection|igbt protection|semiconductor|inverter module fault|transistor not switching|power transistor|power section',
  'short-circuit':
    'phase uv short|phase vw short|phase uw short|short circuit of the motor|short circuit|short-circuit|output short|short at the output|motor short circuit|phase to phase short|short in output|output short circuit|motor short|phase short|short circuit at motor terminals|short between phases|motor cable short',
  ground:
    'earth fault|ground fault|current to earth|earth leakage|ground short|leakage current|earth|ground|earth short circuit|leakage|output earth fault|short to ground|current to ground|short to earth|output to earth|residual current|earth current|motor earth fault|ground current',
  overvoltage:
    'overvoltage|over voltage|ov|dc bus overvoltage|bus too high|bus voltage too high|dc overvoltage|dc link overvoltage|high bus voltage|dc link voltage high|bus high|overtension|dc link too high|bus overvoltage|intermediate circuit overvoltage|excess bus voltage|dc voltage high',
  'overvoltage-decelerating':
    'overvoltage decel|overvoltage during decel|overvoltage in deceleration|deceleration overvoltage|overvoltage braking|overvoltage decelerating|overvoltage while slowing down|overvoltage regenerating|regenerative overvoltage|bus too high while braking|overbraking|over braking|bus overvoltage when braking|overvoltage on stopping',
  'overvoltage-rest':
    'overvoltage at rest|overvoltage at standstill|mains overvoltage|input overvoltage|overvoltage stopped|supply overvoltage|supply voltage too high|mains voltage too high|line overvoltage|overvoltage when stopped|mains too high|overvoltage static|input voltage too high|line voltage high|overvoltage standby',
  undervoltage:
    'line power lost|power lost|mains power lost|undervoltage|under voltage|uv|lv|dc bus undervoltage|bus too low|low voltage|bus voltage too low|dc undervoltage|dc link undervoltage|undersupply|low bus voltage|mains undervoltage|supply voltage too low|dc link too low|power supply low|dc link voltage low|mains failure|power failure|bus low|main circuit undervoltage|undertension|power loss|mains loss|supply loss|low dc voltage',
  'input-phase-loss':
    'phase loss supply|phase loss supply|loss of phase of the mains|input phase|input phase loss|input phase lost|mains phase loss|supply phase loss|line phase missing|input phase failure|phase loss input|missing input phase|mains phase|line phase loss|supply phase missing|input phase missing|loss of input phase|loss of mains phase|phase failure mains|phase missing at the input|supply unbalance|mains phase failure|line imbalance|mains imbalance|input phase unbalance',
  'output-phase-loss':
    'phase loss motor|phase loss motor|loss of phase of the motor|output phase|output phase loss|output phase lost|motor phase loss|motor phase missing|output phase failure|phase loss output|missing motor phase|motor phase|output phase missing|load phase loss|loss of output phase|loss of motor phase|phase failure motor|motor not connected|motor cable open|motor phase open|output open|no motor|motor disconnected|output phase open|motor cable break',
  overload:
    'overload|motor overload|drive overload|inverter overload|thermal overload|i2t|electronic thermal|motor thermal overload|overload trip|motor i2t|overloaded|drive overloaded|motor too long above its current|motor overloaded|thermal model of motor|unit overload|drive i2t|inverter i2t|motor overload trip|thermal relay|overload of the unit|motor thermal protection',
  'over-temperature':
    'overtemperature|over temperature|heatsink|heatsink too hot|overheat|oh|over heat|drive overheat|heat|heatsink temperature|overheating|inverter overheat|radiator overheat|drive too hot|heat sink overtemperature|excessive temperature|temperature too high|heatsink overheat|igbt temperature|inside too hot|module overtemperature|drive temperature|ambient temperature high|overtemp|cooler|internal temperature|power module overheat|cabinet too hot|cooling body',
  external:
    'external fault|external trip|external|outside trip|ef|external alarm|external error|external interlock|fault from a terminal|fault at terminal|external fault input|fault from outside|peripheral fault|external protection',
  encoder:
    'encoder|encoder fault|encoder loss|pg fault|pg loss|feedback loss|speed feedback|encoder error|encoder break|tacho loss|encoder missing|pulse generator|encoder cable|resolver fault|loss of feedback|no encoder pulses|speed sensor|pg disconnection',
  communication:
    'communication|communication fault|communication error|communication loss|serial|serial lost|fieldbus|modbus fault|bus fault|comm error|comms loss|link lost|serial link|network fault|rs485 fault|communication timeout|fieldbus timeout|comm loss|bus timeout|serial communication error|rs-485 fault|comms|option communication|node lost|serial link lost|watchdog of serial link|fieldbus lost',
  'reference-loss':
    'reference loss|reference|reference lost|4-20 ma loss|analog input loss|ai loss|speed signal lost|setpoint below 4 ma|setpoint lost|loss of reference|analog input fault|current loop|live zero|4-20 ma signal lost|4 ma loss|loss of 4-20 ma|setpoint missing|analog signal loss|current signal lost|ai below minimum|analogue input fault|speed reference lost|wire break analog input|loss of setpoint|loss of signal at analog input|analog input wire break|reference signal',
  memory:
    'memory|memory fault|eeprom|eeprom fault|eeprom error|flash|parameter memory|ee|memory error|data error|storage fault|checksum error|parameter checksum|eprom|nonvolatile memory|parameter storage|parameter memory corrupt|flash error|read write error|parameters lost|parameter data lost',
  charging:
    'charging|precharge|charge relay|charging relay|soft charge|charging circuit|charge circuit|precharge fault|pre-charge|inrush relay|soft start relay|capacitor charge|capacitor charging|charging contactor|precharge resistor|bypass contactor|main contactor|inrush|capacitors not charged|soft-start resistor',
  fan: 'fan|fan fault|cooling fan|fan failure|fan blocked|fan locked|fan stopped|internal fan|fan error|ventilator|fan loss|fan does not turn|blower fault',
  thermistor:
    'thermistor|ptc|motor thermistor|motor overheat|motor temperature|motor overtemperature|motor ptc|motor too hot|thermistor trip|ptc trip|motor over temperature|motor overheating|motor winding temperature|temperature of motor sensor|motor hot|motor winding too hot|ptc fault',
  'gate-supply':
    'gate supply|gate driver supply|gate power supply|driver supply|gate voltage|driver power|gate drive supply|gate drive undervoltage|driver voltage low|gate driver voltage|supply of the gate drivers',
  'current-sensor':
    'current sensor|current measurement|current detection|hall sensor|current transducer|current offset|current sensing|current feedback|hall fault|current detection circuit|current transformer|offset of the current measurement|current detector',
  'control-rail':
    '24 v|24v supply|control supply|24 v supply|control voltage|auxiliary supply|internal supply|control power|24 v low|aux supply|10 v overload|24 v overload|reference voltage|supply of the control|control power supply|power supply fault|internal 24 v|auxiliary voltage|15 v supply|switch mode supply|5 v supply|24 v rail',
  'brake-chopper':
    'brake chopper|braking transistor|brake transistor|brake chopper fault|braking unit|brake unit|chopper|chopper fault|dynamic braking transistor|chopper overload|brake igbt|brake chopper short|braking unit fault|braking module|brake switch|brake unit fault',
  'brake-resistor':
    'brake resistor|braking resistor|brake resistor overload|braking resistor overload|resistor overload|brake resistor too hot|braking resistor overheat|brake resistor open|dynamic braking resistor|resistor too hot|brake resistor disconnected|braking resistor short|brake resistor power|resistor overheated',
  'sto-mismatch':
    'sto|sto fault|sto mismatch|safe torque off|sto channels|sto circuit|sto discrepancy|safety input|safety circuit|sto channel difference|safe stop fault|safety channels differ|safety function fault|safety fault|sto hardware|one sto channel|safety channel',
  autotune:
    'autotune|autotune fault|identification|tuning|tuning fault|identification failed|auto tuning error|motor identification failed|id run failed|self-learning|identification run|autotuning|motor data identification|tune failed|auto-tuning fault|parameter identification fault',
  stall:
    'stall|motor stalled|stalled|stall protection|locked rotor|rotor locked|motor blocked|stall prevention|motor stall|rotor blocked|blocked rotor|motor jammed|does not turn|jam|over torque|overtorque|excess torque',
  overspeed:
    'overspeed|over speed|speed too high|overfrequency|motor overspeed|excess speed|over frequency|overspeed trip|motor too fast|speed above limit|speed deviation',
  keypad:
    'keypad|keypad fault|panel lost|panel loss|keypad lost|keypad communication|operator panel|panel communication|panel fault|keypad removed|keypad disconnected|operator loss|keypad loss|no contact with the panel|local panel loss|control panel lost|keypad link',
  'temperature-sensor':
    'temperature sensor|temperature measurement|ntc|ntc fault|sensor fault heatsink|temperature detection|heatsink sensor|thermal sensor|temperature sensor broken|ntc open|temperature probe|ntc broken|temperature sensor fault|heatsink sensor open',
  other:
    'restart count used up|restart count exceeded|restart attempts exceeded|internal fault|cpu fault|hardware fault|watchdog|software fault|unknown|system error|internal error|option fault|control board|cpu|parameter conflict|parameter error|setting error|wrong parameter|processor|board fault|option card|rom|ram|underload|load loss|belt|dry run|identity|firmware|configuration|load lost|pid feedback loss|process feedback|underload of motor|run time reached|license|parameter setting',
};
