// Common practice, no source: how manuals word the same thing. Left the word that we use, right what they write.

/**
 * Canonical words with what manuals write for them. Several words stand for one thing where they are written together;
 * of two that could both be meant the longer one counts.
 */
export const synonyms: Readonly<Record<string, string>> = {
  accel:
    'acceleration|accelerating|accelerate|accelerates|acceler|accel|acc|ramp up|ramp-up|rampup|run up|run-up|runup|up ramp|starting ramp|speeding up|rise time|ramp-up time|time of rise|starting time|start time ramp',
  decel:
    'deceleration|decelerating|decelerate|decelerates|deceler|decel|dec|ramp down|ramp-down|rampdown|run down|run-down|rundown|down ramp|stopping ramp|slowing down|slow down|fall time|braking ramp|retardation|deceleration ramp|time of fall',
  time: 'time|times|duration|period|interval|tm',
  ramp: 'ramp|ramps|ramping|ramp generator|ramp function generator',
  max: 'maximum|maximal|max|highest|upper|top|fastest|greatest|largest|peak|upr|great',
  min: 'minimum|minimal|min|lowest|lower|bottom|slowest|least|smallest|lwr|small',
  high: 'high|hi|higher',
  low: 'low|lo',
  freq: 'frequency|frequencies|freq|freqency|hertz|hz|frq|fq|frequence',
  speed: 'speed|speeds|velocity|spd|rpm|revolutions|turns|rotational speed|rotation speed|rotary speed|revs',
  rated:
    'rated|nominal|nameplate|rating plate|name plate|type plate|plate|nom|nominal value|rated value|full load|full-load|rated load|design',
  base: 'base|basic|corner|knee|break point|field weakening point|cut-off|cutoff',
  motor: 'motor|mot|motors|mtr|engine',
  current: 'current|currents|amps|ampere|amperes|amperage|curr|cur|amp|intensity',
  'rated current': 'full load amps|full load current|full-load current|full-load amps|fla|flc|rated amps',
  voltage: 'voltage|voltages|volts|volt|tension|vltg|u/v',
  power: 'power|capacity|wattage|kilowatts|horsepower|output power',
  cosphi: 'power factor|cos phi|cosphi|cos-phi|cos ph|cosine phi|pf|cos|cosinus phi|cosinus|cosine',
  poles: 'poles|pole|number of poles|pole number|pole count|no. of poles|motor poles',
  polepairs: 'pole pairs|pole-pairs|pole pair number|number of pole pairs|pairs of poles',
  ident:
    'autotune|auto-tune|auto tune|autotuning|auto-tuning|auto tuning|tuning|identification|ident|id run|id-run|motor id|self learning|self-learning|self tuning|self-tuning|parameter identification|motor measurement|measuring run|identification run|auto-adaptation|motor adaptation|automatic adaptation|learning run|auto measuring|automatic measuring|parameter measuring|measuring of parameters|measure motor|motor measuring|data identification',
  overload:
    'overload|over load|o/l|electronic thermal|thermal relay|thermal protection|thermal overload|electronic overload|motor protection|i2t|i²t|ixt|overloading|electrothermal|thermal model|thermal image|thermal monitoring|protection thermal|thermal motor protection|motor thermal protection|thermal protection of the motor|thermal switch|thermic protection|thermal cut-out',
  limit:
    'limit|limitation|limiting|limiter|limits|restriction|clamp|boundary|ceiling|bound|bounds|threshold limit|cap|capping',
  torque: 'torque|moment|couple|trq|tq|torques',
  regenerative:
    'regenerative|regeneration|regen|generating|generator|generatoric|feeding back|braking torque',
  motoring: 'motoring|driving|motor mode|motoric',
  brake: 'brake|braking|brk',
  mechanical: 'mechanical|holding|external brake|mech|brake release|brake open|brake lift|lifting brake',
  dc: 'dc',
  dcbrake:
    'dc injection|dc-injection|dc brake|dc-brake|dc braking|dc-braking|direct current braking|dc injection braking|injection braking|dc hold|dc-hold|dc holding|direct current injection|standstill current|injection of direct current|injection of dc|dc current injection|injection of continuous current|braking by direct current|braking with direct current|direct current|continuous current|injection|dc-injection braking|dc current brake',
  skip: 'skip|jump|avoidance|avoided|forbidden|prohibited|resonance|critical|blocked|bypass|masked|suppressed|hidden|blanking|barred|occulted|forbidden band|masked frequency',
  band: 'band|bandwidth|width|window|range|zone|hysteresis',
  preset:
    'preset|presets|fixed|multi-step|multistep|multi step|multi-speed|multispeed|multi speed|step speed|constant speed|digital speed|set speed|set speeds|step|stage|fixed setpoint|fixed reference|multi-reference|multi-stage|multistage|pre-set|programmed speed',
  jog: 'jog|step by step|step-by-step|jogging|inch|inching|jog speed|creep|crawl|tipping|pulse operation',
  source:
    'source|sources|channel|origin|location|place|from|given by|selector|input source|originates|comes from',
  run: 'run|running|start|start command|run command|operation command|operating command|start/stop|start stop|run/stop|start-stop|start order|operation|operate|operating|starting|command|commands|motion command|control command|control source|control location|command source|order|on/off command|control word source',
  reference:
    'reference|references|setpoint|set point|set-point|demand|speed command|frequency command|frequency setting|speed setting|target|desired|reference value|nominal value setting|given frequency|main frequency|frequency given|ref|refer|speed reference|frequency reference|set value|setvalue|command value',
  local: 'local|hand|loc|manual|on site|site mode|manual mode|hand mode|local mode|hands on|loc mode',
  remote: 'remote|automatic mode|auto mode|rem|auto place|remote mode|external control|distant',
  localremote:
    'local/remote|local / remote|local-remote|local or remote|hand/auto|hand / auto|hand-auto|loc/rem|manual/auto|hand/off/auto|h/o/a|local remote|remote/local|hand or auto|auto/hand|loc / rem|rem/loc',
  di: 'digital input|digital inputs|logic input|logic inputs|di|multi-function input|multifunction input|multi function input|binary input|binary inputs|discrete input|discrete inputs|input terminal|terminal function|dig in|dig. in|digital in|logical input|programmable input|input terminals|control terminal|multi-function terminal|control input',
  ai: 'analog input|analog inputs|analogue input|analogue inputs|ai|an in|an. in|analog in|analogue in|analog terminal',
  ao: 'analog output|analog outputs|analogue output|analogue outputs|ao|an out|analog out|analogue out|meter output|an. out|analog meter',
  ro: 'relay|relays|relay output|relay outputs|output relay|ro|digital output|digital outputs|do|multi-function output|multifunction output|binary output|logic output|output contact|contact output|output terminal|open collector|dig out|relay contact|discrete output|signal relay',
  signal: 'signal|signals|sig|signal type|signal kind|format',
  function: 'function|functions|func|assignment|assign|duty|role',
  input: 'input|inputs|inp|in|incoming|line side',
  output: 'output|outputs|outp|out|outgoing|motor side',
  supply: 'mains|supply|line|network supply|grid|net|network|supply network|power network',
  analog: 'analog|analogue|ana',
  scale: 'scale|scaling|factor|multiplier|scaling factor|coefficient|display scaling',
  filter:
    'filter|filtering|smoothing|damping|debounce|time constant|filter time|response time|low-pass|low pass|lag filter|noise filter|lowpass',
  full: 'at full|full scale|full-scale|100 %|at maximum|end value|span|full|at 100 %|at 100%|100%',
  zero: 'at zero|zero|offset|at nothing|at minimum|start value|bias|at 0 %|at 0%|0 %|0%',
  serial:
    'serial|comm|comms|communication|communications|modbus|fieldbus|field bus|bus|rs485|rs-485|rs 485|link|serial link|serial port|serial interface|modbus rtu|com|communic|data link|bus link|interface|serial communication|rtu|fieldbus link|network link|remote bus',
  address:
    'address|node|node id|station|slave|slave id|slave address|station number|slave number|node number|node address|station address|bus address|unit number|slave no|adr|addr|node-id|device address|unit id|station no',
  baud: 'baud|baud rate|baudrate|transmission rate|transmission speed|bit rate|bitrate|data rate|communication speed|comm speed|transfer rate|bits per second|serial speed|bus speed|bps|link speed|serial rate',
  parity: 'parity|data format|parity bit|frame format|character format|telegram format|word format|check bit',
  timeout:
    'timeout|time-out|time out|watchdog|watch dog|overtime|supervision time|monitoring time|silence|waiting time|communication timeout|loss time-out|silence time|link supervision time',
  loss: 'loss|lost|missing|lack|absence|absent|failure|fail|failed|failing|broken|wire break|breakage|break|interruption|interrupted|disconnection|disconnected|dropout|drop-out|losing|gone|dead',
  action:
    'action|reaction|response|behaviour|behavior|behaves|on event|what happens|consequence|does|measure taken|handling|fault response|trip response|reacts',
  protection: 'protection|supervision|monitoring|monitor|detection|detect|guard|check|prot|surveillance',
  fault:
    'fault|faults|trip|trips|tripping|error|failure trip|err|shutdown on fault|tripped|defect|malfunction|disturbance',
  warning: 'warning|warn|warns|caution|pre-alarm|prealarm',
  restart:
    'restart|restarts|auto restart|auto-restart|automatic restart|auto reset|auto-reset|automatic reset|autoreset|autorestart|retry|retries|fault retry|fault reset automatically|self restart|re-start|restarts by itself|automatic fault reset|restarting|automatic retry',
  count: 'number|count|attempts|tries|how many|no. of|quantity|amount|counts|attempt|times number',
  delay: 'delay|wait|waits|waiting|pause|dwell|after|lag|dead time|dly',
  poweron:
    'power on|power-on|power up|power-up|powerup|at power on|after power on|on power-up|at power-up|line start|power restored|mains return|after mains|power on start|line start lockout|power-up start|switch-on|return of power|power recovery|mains on|supply on|after mains return|restart of supply|power returns|supply returns|power comes back|return of supply',
  carrier:
    'carrier|carrier frequency|switching|switching frequency|pwm|pwm frequency|chopping frequency|modulation frequency|pulse frequency|clock frequency|switch freq|igbt frequency|pulsing frequency|cutting|chopping|frequency of cutting|cutting frequency|frequency of switching|frequency of modulation|frequency of chopping|beat frequency|pwm carrier|switching rate|switching freq|pulse rate|pwm rate',
  boost:
    'boost|torque boost|torque lift|voltage boost|torque compensation|ir compensation|ir-compensation|ixr|starting voltage|low speed torque|manual boost|start boost|i·r compensation|start voltage|torque increase|voltage lift|ir comp|manual torque boost|zero speed voltage|voltage at zero speed|voltage at 0 hz|low frequency torque|breakaway torque|starting torque boost',
  password:
    'password|pass word|passcode|pass code|access code|access key|lock code|pin|user code|keyword|security code|entry code|unlock code|code number|access number|code of blocking|blocking code|confidential code|secret code|security number|key code|pass number|key for parameter access|access number code',
  code: 'code|codes',
  paramlock:
    'parameter lock|lock|write protection|write-protection|write protect|parameter protection|key lock|keypad lock|programming lock|data protection|edit lock|protect parameters|parameter access|modification lock|lock of parameters|parameter write|write inhibit|change lock|write disable|locking of parameters|setting lock|modify lock|lock parameters',
  factory:
    'factory|factory setting|factory settings|factory default|factory defaults|factory values|default settings|restore|restore defaults|initialise|initialize|initialisation|initialization|reset to factory|load defaults|restore factory|parameter reset|reset parameters|default values|parameter initialization|parameter initialisation|reset all|load factory|return to factory|back to factory|works setting|delivery state|defaults|loading factory|preset loading|return to factory settings|back to defaults|reset to defaults|works default|return to works settings|recall factory|restore factory values|factory data|default restore|original settings|load default|set to default',
  save: 'save|store|storage|memorise|memorize|write to memory|save to memory|eeprom|memory|nonvolatile|non-volatile|save parameters|store parameters|permanent',
  keypad:
    'keypad|panel|operator|hmi|operating panel|control panel|keyboard|operator panel|front panel|display panel|digital operator|keys|key pad|operator keypad|control unit|integrated panel|pad|console|operating console|terminal of dialogue|drive keypad|display unit|handheld|local panel|programming unit|control pad',
  knob: 'knob|potentiometer|pot|dial|panel potentiometer|keypad potentiometer|built-in potentiometer|keypad pot|integral pot',
  stop: 'stop|stopping|halt|shutdown|shut down|stops|stoppage',
  stopkey:
    'stop key|stop button|stop/reset key|stop key function|off key|stop/reset|stop push-button|key stop|stop pushbutton',
  stopmode:
    'stop mode|stop method|stopping mode|stopping method|stop type|way of stopping|type of stop|mode of stop|stopping type|stop by|method of stopping|stopping way|manner of stopping|kind of stop|off behaviour|off mode|switch-off behaviour|off reaction',
  coast:
    'coast|coasting|free stop|free run|free wheel|freewheel|free-wheel|free-run|coast to stop|coast-to-stop|free running|freely|freewheeling|unguided|uncontrolled stop',
  flying:
    'flying start|flying restart|flying|catch|catch on the fly|speed search|spin start|start on the fly|catching|catch spinning|catch a spin|speed tracking|rotation tracking|rotating motor|turning motor|spinning load|spinning motor|pick up|pickup|pick-up|search for speed|rotating start|fly start|catch on fly|on the fly|speed tracing|rotating load|revolving motor|coasting motor|running motor start|motor already turning|spin catch|restart into rotating|resume spinning|flycatching|fly catching',
  stall:
    'stall|stalled|stalling|locked rotor|blocked rotor|rotor lock|jam|jammed|blocking|stall prevention|rotor blocked|rotor locked|blocked shaft|motor blocked|stall of motor',
  encoder:
    'encoder|pg|pulse generator|tacho|tachometer|speed feedback|feedback|speed sensor|resolver|shaft encoder|incremental encoder',
  lines:
    'lines|ppr|pulses per revolution|pulses per rev|increments|pulse number|pulses|line count|pulse count|resolution|increments per revolution|pulses/rev|marks per revolution',
  chopper:
    'brake chopper|braking chopper|chopper|braking unit|brake unit|braking transistor|brake transistor|dynamic braking|dynamic brake|braking module|brake igbt|db transistor|resistor braking|resistive braking|braking resistor control',
  resistor:
    'resistor|brake resistor|braking resistor|db resistor|braking resistance|brake resistance|resistor value|dynamic braking resistor|braking resistor value|brake resistor value',
  resistance: 'resistance|ohms|ohm|resist|ohmic|ohmic value',
  stator: 'stator|winding|phase resistance|stator resistance|rs|r1|armature|primary resistance',
  noload:
    'no-load|no load|noload|magnetising|magnetizing|magnetisation|magnetization|idle|idling|empty load|excitation|no-load current|flux current|unloaded',
  thermistor:
    'thermistor|ptc|ptc input|motor temperature sensor|motor sensor|motor temperature input|temperature probe|motor ptc|winding sensor|motor thermal sensor|winding thermistor|klixon|thermal contact of motor',
  phase: 'phase|phases|phase conductor|ph',
  inputphase:
    'input phase|input phases|line phase|mains phase|supply phase|network phase|input phase loss|line phase loss|phase loss input|input phase failure|mains phase loss|supply phase loss|phase failure mains|loss of an input phase|supply phases|mains phases|phase loss in supply|single phasing of supply|mains phase failure|supply phase failure',
  outputphase:
    'output phase|output phases|motor phase|output phase loss|motor phase loss|output phase failure|phase loss output|motor phases|phase loss motor|missing motor phase|loss of an output phase|motor cable break|load phase|motor phase failure|phase lack output|motor phase missing',
  ground:
    'ground|earth|ground fault|earth fault|earth leakage|ground leakage|earthing|leakage|gnd fault|ground short|fault to earth|short to earth|short to ground|grounding|gnd|to gnd|to ground|to earth',
  undervoltage:
    'undervoltage|under voltage|under-voltage|low voltage|uv|mains dip|power dip|dc undervoltage|bus undervoltage|low bus|dip|sag|brownout|brown-out|mains failure|mains loss|power loss|power failure|supply loss|voltage dip|momentary power|undertension',
  overvoltage:
    'overvoltage|over voltage|over-voltage|ov|high bus|overvoltage stall|dc overvoltage|bus overvoltage|high voltage|overtension|excess voltage|bus regulator|bus regulation|bus control|udc max|vdc max|dc voltage controller|dc link controller',
  ridethrough: 'ride-through|ride through|kinetic buffering|kinetic|buffering|power loss ride|kinetic backup',
  control: 'control|controller|controlling|ctrl|regulation|regulator|cntl',
  pid: 'pid|pi|process|process control|process controller|closed loop|closed-loop|pid control|pid function|pi control|pid controller|pi regulator|process regulator|pi-regulator|pi controller',
  gain: 'gain|proportional|p gain|p-gain|kp|amplification|p-part|p part|p component|prop|p band|proportional gain|p-factor',
  integral:
    'integral|integration|i time|i-time|ti|reset time|integral time|i-part|i component|integrating|integral action|integration time',
  sleep: 'sleep|standby|stand-by|hibernation|doze|sleeping|sleep mode|dormant|rest mode|dormancy',
  direction:
    'direction|rotation|direction of rotation|rotation direction|phase order|phase sequence|rotating direction|sense of rotation|motor direction|rotation sense|running direction|turning direction|phase rotation|turning sense|field rotation',
  reverse:
    'reverse|reversing|backward|backwards|rev|anticlockwise|anti-clockwise|counterclockwise|counter-clockwise|negative direction|reversal|reversed|left rotation|reverse rotation|reverse direction|inverse rotation',
  forward: 'forward|forwards|fwd|clockwise|positive direction|cw|right rotation',
  allow: 'allowed|permitted|permission|allow|admissible|permit',
  forbid: 'inhibit|inhibited|prohibit|lockout|prevention|forbid|prohibition|prevent|prevented',
  disable: 'disable|disabled|deactivated|inactive',
  enabled: 'enabled|activated|active|effective',
  alarm: 'alarm|alarms',
  curve:
    'curve|characteristic|characteristics|pattern|profile|shape|torque characteristic|load characteristic|load type|load kind|kind of load|type of load|torque curve|v/f pattern|v/f curve|v/f characteristic|u/f characteristic|u/f curve|torque profile|load curve|v/f ratio|u/f ratio|v/hz ratio|volts per hertz ratio',
  load: 'load|loading',
  vhz: 'v/f|v/hz|u/f|volts per hertz|volt per hertz|vf|v-f|vhz|scalar',
  vector:
    'vector|sensorless vector|field oriented|field-oriented|foc|flux vector|slv|svc|open loop vector|sensorless|vector control|open-loop vector',
  mode: 'mode|modes|method|type|kind|manner|way|selection|select|selected|sel|choice|choose|option|variant',
  motorcontrol:
    'motor control|control mode|control method|control type|motor control mode|motor control method|control principle|control algorithm|regulation mode|control system|command control type|control kind|motor control type|modulation method|law of command|control law|law of control|motor control law|drive control mode|motor law',
  application:
    'application|macro|application macro|application selection|ready-made configuration|preset configuration|macro selection|standard application|quick configuration|application type',
  region:
    'region|50/60 hz|50 / 60 hz|50/60|international|local setting|regional|regional settings|area|geographic|country|mains region|default set|50 hz/60 hz|standards of motor|iec/nema|mains frequency selection|kw/hp default|grid frequency setting',
  powerunit:
    'power unit|kw/hp|kw or hp|unit of power|hp/kw|power shown in|kw / hp|units of power|power units|hp or kw',
  language:
    'language|languages|text language|display language|dialogue language|menu language|dialog language',
  display:
    'display|displayed|shown|indication|monitor display|readout|shows|screen|show|displaying|indicated',
  unit: 'unit|units',
  wire: 'wire|wires',
  wiring:
    'wiring|2-wire/3-wire|2/3-wire|2/3 wire|2-wire / 3-wire|two-wire/three-wire|start/stop wiring|run wiring|2-/3-wire|terminal control mode|terminal command mode|start/stop mode|fwd/rev mode|2 wires / 3 wires|2 wires/3 wires|2-wire / 3-wire mode|two wires / three wires|command 2 wires|fwd/rev terminal mode|terminal mode|forward/reverse terminal mode|run terminals',
  enable:
    'enable|enabling|run enable|run permission|release|drive enable|enable input|enable signal|run enabling|controller enable|controller release',
  required: 'required|needed|necessary|must be|needs|mandatory|demanded|compulsory',
  polarity:
    'polarity|pnp/npn|npn/pnp|source/sink|sink/source|sink source|input logic|pnp or npn|pnp|npn|logic type|sourcing|sinking|input logic type|source or sink|positive/negative logic|logic of inputs|sink/source selection|pos/neg logic',
  deadband:
    'dead band|deadband|dead-band|dead zone|zero band|neutral zone|deadzone|zero zone|insensitive range|insensitive zone|threshold at zero|blind zone',
  level:
    'level|threshold|detection level|frequency detection|frequency level|fdt|frequency threshold|trigger|switching point|comparator|comparison|detection frequency',
  release: 'opens|open current|release current|lift current|brake opens|opening|lift',
  external: 'external|outside|foreign|externally|auxiliary|aux',
  auto: 'automatic|auto|automatically|by itself',
  derate:
    'derating|derate|falls when hot|reduced when hot|temperature dependent|thermal reduction|automatic reduction|auto reduction|adaptive|foldback|fold-back|temperature reduction|reduces|reduction|carrier falls|when hot|automatic carrier|lowering|adaptation to temperature|temperature adaptation|auto-derating',
  fan: 'fan|cooling fan|ventilator|fan control|blower|fans|drive fan|internal fan|heatsink fan|fan mode',
  cooling:
    'cooling|cooled|ventilation|motor cooling|cooling method|ventilated|motor ventilation|cooling mode|kind of cooling',
  energy:
    'energy|energy optimising|energy optimizing|energy saving|eco|energy optimiser|energy optimizer|energy save|power saving|eco mode|energy efficient|automatic energy|flux optimisation|flux optimization|energy-saving|flux reduction|flux optimizer|economy',
  clock: 'clock|real time clock|real-time clock|rtc|date and time|time and date|date/time|calendar|date',
  sto: 'sto|safe torque off|safe-torque-off|safe stop|safety stop|safety function|safe off|safe torque',
  faststop:
    'fast stop|quick stop|emergency stop|e-stop|rapid stop|quick-stop|fast-stop|emergency ramp|emergency deceleration|quick stop ramp|fast stop ramp|rapid deceleration|fast ramp|quick ramp|emergency stop time',
  scurve:
    's-curve|s curve|s-ramp|s ramp|s-shape|rounding|jerk|s-curve time|s-characteristic|s-form|jerk time|s-ramps|s shape|s characteristic|soft ramp|smooth ramp|rounding of the ramps|rounding of ramps|ramp rounding|roundness|smoothing of ramps',
  counts:
    'ramp reference|reference frequency for ramp|accel/decel reference|acc/dec reference|ramp base|ramps count to|ramp to|acc/dec base|ramp reference frequency|acceleration base|accel/decel base|acceleration/deceleration reference|ramps refer to|accel/decel time base',
  hold: 'hold|keep|maintain|held|freeze',
  motorpot:
    'motor potentiometer|motorised potentiometer|motorized potentiometer|up/down|mop|motor-operated potentiometer|up / down',
  drive: 'drive|inverter|converter|vfd|frequency converter|unit rating|device',
  percent: '%|percent|percentage|per cent|in %|pct|% of drive',
  reset: 'reset|resets|resetting',
  state: 'state|status|condition|done|result|progress',
  word: 'word|control word|controlword',
  second: '2|second|2nd|ii|two|set 2|b set|alternative|alternate',
  '1': '1|first|1st|i|one|set 1|main|primary',
  '3': '3|third|iii|3rd',
  '4': '4|fourth|iv|4th',
  '5': '5|fifth|5th',
  '6': '6|sixth|6th',
  '7': '7|seventh|7th',
  overcurrent:
    'overcurrent|over current|over-current|excess current|excessive current|current too high|overamp|oc',
  short: 'short|short circuit|short-circuit|shorted|shorts|shortcircuit',
  temperature: 'temperature|temp|thermal|temperatures',
  hot: 'overheat|overheating|over heat|overtemperature|over temperature|over-temperature|too hot|overheated|overtemp|hot|heat|excess temperature|temperature too high',
  heatsink: 'heatsink|heat sink|radiator|cooler|cooling body|heat-sink|cooling plate',
  dcbus:
    'dc bus|dc link|dc-link|intermediate circuit|bus voltage|bus volts|link voltage|dc voltage|dc-bus|dc link voltage|dc bus voltage|main circuit|dc circuit',
  igbt: 'igbt|ipm|power module|power stage|power section|power transistor|inverter module|transistor|semiconductor|output stage|igbts|power block|power unit fault',
  sensor: 'sensor|transducer|probe',
  precharge:
    'precharge|pre-charge|charging|charge|soft charge|inrush|soft-charge|pre-charging|charging circuit|soft start relay',
  overspeed: 'overspeed|over speed|over-speed|overfrequency|over frequency|excess speed|speed too high',
  start:
    'starting frequency|start frequency|start at|frequency of start|initial frequency|startup frequency|start-up frequency|starting freq|start freq',
};

/** Words that say nothing of a parameter. */
export const emptyWords = new Set(
  'the|a|an|of|for|to|at|and|or|by|is|its|this|that|with|as|be|will|it|value|setting|settings|set|parameter|parameters|adjustment|adjust|configuration|config|setup|define|defines|definition|sets|when|while|each|data|(s)|on|if|during'.split(
    '|',
  ),
);
