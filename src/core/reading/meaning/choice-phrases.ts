// Common practice, no source: how manuals call what a parameter can be set to.

/** What manuals call each neutral choice; ways to say it are parted by "|". Only those a concept has are asked. */
export const choicePhrases: Readonly<Record<string, string>> = {
  no: 'no|not required|off|disabled|not needed|inactive|0|never|not used',
  yes: 'yes|required|on|enabled|needed|active|always',
  off: 'off|no|disabled|disable|inactive|not active|none|deactivated|not used|0|prohibited|invalid|without|ineffective|inhibited|not allowed',
  on: 'on|yes|enabled|enable|active|activated|allowed|valid|1|with|effective|used|at start|always active|permitted',
  none: 'not affected|not allocated|none|no function|not used|no|off|unused|disabled|without|not assigned|no action|inactive|not connected|unassigned|no operation|deactivated|free|invalid|no encoder|open loop|do nothing|spare|no effect|idle|not active|vacant|no parity|no check',

  '50Hz': '50 hz|50hz|iec|europe|50 hz kw|international|50|metric|50 hz iec|eur',
  '60Hz': '60 hz|60hz|nema|north america|60 hz hp|us|60|usa|60 hz nema|america',
  standard:
    'standard|general|default|general purpose|basic|none|factory|universal|normal|standard application',
  'fan-pump':
    'fan pump|pump fan|fan or pump|pump and fan|pump|fan|hvac|centrifugal|pumps and fans|fans|ventilation',
  conveyor: 'conveyor|conveyors|material handling|conveying|transport|conveyor belt|belt',
  hoist: 'hoist|lift|lifting|crane|hoisting|elevator|hoists|winch',
  'two-places': 'two places|local remote|hand auto|local/remote|two control places|manual auto|two locations',
  pid: 'pid|process control|pid control|process|pi control|closed loop process',

  'v-hz':
    'v/f|v/hz|scalar|u/f|vf control|v/f control|v hz|volts per hertz|v/f characteristic|linear v/f|scalar control|v/f open loop',
  vector:
    'vector|sensorless vector|vector open loop|sensorless|open loop vector|vector control|field oriented|vector without encoder|vector sensorless|flux vector|svc|field-oriented control',
  'vector-encoder':
    'vector encoder|closed loop vector|vector with encoder|encoder vector|vector closed loop|vector with feedback|vector with pg|closed loop flux vector',
  'permanent-magnet':
    'permanent magnet|pm|pm motor|synchronous|pm vector|synchronous motor|pmsm|permanent magnet motor|brushless',
  constant:
    'constant torque|constant|linear|ct|constant load|linear v/f|heavy|heavy duty|conveyor|straight line',
  variable:
    'variable torque|variable|quadratic|fan|square|pump|fan pump|vt|squared|quadratic torque|reduced torque|normal duty|pump and fan|centrifugal|parabolic|square law|square curve',
  kW: 'kw|kilowatt|kilowatts',
  hp: 'hp|horsepower',
  english: 'english|en|eng',
  other: 'local|german|french|spanish|italian|other|chinese|deutsch|national',
  Hz: 'hz|frequency|hertz|output frequency',
  rpm: 'rpm|speed|motor speed|r/min|revolutions per minute|1/min|min-1',
  '%': '%|percent|per cent|percentage',

  standstill:
    'standstill|static|stationary|at standstill|without rotation|stationary motor|static tuning|motor at rest|non-rotating|not rotating|still|stator resistance only|reduced|motor stopped',
  rotating:
    'rotating|dynamic|rotation|with rotation|rotational|motor turns|rotate|complete|full|running motor|motor running|turning',
  'not-done': 'not done|none|not performed|pending|not carried out|open|never done',
  done: 'done|completed|ok|complete|finished|successful|valid',
  stale: 'stale|outdated|data changed|old|expired|invalid|changed since',
  failed: 'failed|error|fault|aborted|failure|unsuccessful',
  normal:
    'normal|forward|as wired|standard|u v w|clockwise|uvw|not inverted|positive|same direction|default direction|right|no|unchanged',
  inverted:
    'changed|inverted|reverse|reversed|u w v|inverse|counterclockwise|uwv|swapped|opposite|exchanged|negative|invert|left|yes|opposite direction',
  self: 'self|own fan|self cooled|self-ventilated|shaft fan|self ventilated|self-cooled|motor fan|standard motor|internal fan|surface cooled',
  forced:
    'forced|separate fan|external fan|force ventilated|forced cooling|separate|forced ventilation|force cooled|external|separately ventilated|variable frequency motor|independent fan',
  locked:
    'locked|disabled|inhibited|prohibited|blocked|not allowed|forward only|no reverse|forbidden|no|disable|protected|read only|inhibit|reverse disabled|write protected|closed|one direction|forward running only|all locked|prevented',
  allowed:
    'allowed|enabled|permitted|both directions|yes|enable|both|reverse allowed|forward and reverse|free|not locked|reverse enabled|forward reverse|possible',
  open: 'open|unlocked|none|no lock|off|not locked|no protection|writable|all editable|disabled|free|unprotected|read write|access',

  maximum: 'maximum frequency|maximum|max frequency|highest frequency|max|f max|upper limit|maximum speed',
  base: 'base frequency|motor frequency|rated frequency|base|nominal frequency|rated motor frequency|motor rated frequency',
  coast:
    'coast|coasting|free stop|coast to stop|freewheel|free wheel|free run|free running|let run out|unguided|uncontrolled|coast stop|run out|free coasting|inertia stop',
  ramp: 'ramp|ramp to stop|decelerate|deceleration|decel|ramp stop|ramp down|controlled|deceleration stop|along ramp|decel to stop|deceleration ramp|slow down|on ramp|normal ramp|controlled stop',
  'fast-ramp':
    'fast ramp|fast stop|quick stop|emergency stop|fast deceleration|rapid stop|quick ramp|quick deceleration|fast',
  'dc-injection':
    'dc injection|dc|dc brake|dc braking|injection|dc brake stop|dc injection braking|direct current|dc injection stop|dc brake to stop|standstill with dc',

  local: 'local|hand|keypad|manual|panel|loc|hand mode',
  remote: 'remote|auto|automatic|terminals|rem|external|auto mode|distant',
  'by-input':
    'by input|by digital input|digital input|terminal|selected by terminal|input|by terminal|via di|from terminal|di|switched by input|through digital input|via digital input',
  keypad:
    'keypad|panel|operator panel|operator|keyboard|hmi|keypad keys|control panel|up down keys|operating panel|local keypad|front panel|keys|local|digital operator|keypad reference|panel keys|arrow keys|display',
  terminals:
    'terminals|terminal|digital inputs|control terminals|terminal strip|external terminals|i/o|input terminals|remote terminals|terminal block|external|di|digital input|from terminals|hard-wired|control terminal|logic inputs|inputs',
  serial:
    'serial|modbus|communication|fieldbus|bus|rs485|network|serial link|comm|rs-485|communication port|serial communication|comms|serial bus|interface|modbus rtu|via bus|link',
  knob: 'knob|potentiometer|keypad potentiometer|pot|panel potentiometer|built-in potentiometer|panel knob|dial|integrated potentiometer|front potentiometer',
  AI1: 'ai1|analog input 1|ai 1|analogue input 1|vi|avi|analog a|a1|analog 1|v1|analog input|0-10 v input|terminal ai1|voltage input|analog voltage|terminal a1|terminal v1',
  AI2: 'ai2|analog input 2|ai 2|analogue input 2|ci|aci|analog b|a2|analog 2|c1|current input|4-20 ma input|terminal ai2|analog current|terminal a2|terminal c1',
  preset:
    'preset|presets|multi-speed|multi-step|fixed speeds|preset speeds|multistep speed|fixed|fixed frequencies|set speeds|steps|preset references|multi-step speed|multi-speed terminals|fixed setpoints|preset frequencies|preset speed|step speeds',
  'keypad-only':
    'keypad only|in local|only keypad|local only|hand only|keypad control only|only in local|only active in keypad mode|valid in keypad mode|panel only|only with keypad control|local|only local mode|panel control only|active in keypad control only',
  always:
    'always|always active|continuous|all modes|always on|permanently|in all modes|on|priority|any control|every mode|valid in all modes|permanent|all control sources|active in every mode|continuously|constantly|runs always|in any mode|with power on',
  'two-wire':
    'two wire|2 wire|two wires|2-wire|two-wire|fwd rev|2-wire control|two-line|2-wire fwd/stop rev/stop|two-wire 1|2-wire type 1|two wire mode 1|forward stop reverse stop|run forward run reverse',
  'three-wire':
    'three wire|3 wire|three wires|3-wire|three-wire|3-wire control|pulse|three-line|3-wire pulse|three wire mode|momentary|push buttons|impulse',
  'two-wire-direction':
    'run and direction|run direction|two wire direction|run stop forward reverse|2-wire run direction|run/stop fwd/rev|two-wire 2|2-wire type 2|run reverse|two wire mode 2|start direction|start and direction|2-wire run/stop + direction|start stop direction',
  either: 'either|or|any|one of both|terminals or serial|logic or|terminal or bus|one of them',
  both: 'both|and|terminals and serial|logic and|terminal and bus',

  ignore:
    'ignore|no action|none|nothing|off|disabled|no|continue|no reaction|not active|continue running|continue operation|no response|keep running|inactive|disable|run on|ignored|no fault|no protection|without|not monitored|no monitoring|continues',
  warn: 'warn|warning|alarm|warning only|alarm only|warns|alarm and continue|warning and continue|warn only|display warning|message|report only|alarm continue',
  trip: 'free wheel|freewheel|free stop|trip|fault|trips|stop with fault|fault trip|coast stop|alarm and coast to stop|error|trip drive|fault and coast|shut down|stop|shutdown|fault stop|on|active|enabled|enable|yes|trip and stop|trip free stop|switch off|coast|protection on',
  hold: 'speed maintained|maintained|hold|hold last|last speed|keep last|hold speed|freeze|last value|keep speed|run at last speed|last reference|maintain|keep last speed|holds|hold last value|hold last frequency|keep last value|hold output|run at last value|previous speed|maintain last speed|last frequency|keep running at last speed',
  minimum:
    'minimum|lowest|min speed|minimum speed|min frequency|slowest|minimum frequency|run at minimum|lower limit|go to minimum|run at minimum speed|min|lower limit frequency',
  'ride-through':
    'ride through|ride-through|kinetic buffering|buffering|continue|kinetic|ride through enabled|on|enabled|kinetic energy|bridging|buffer',
  input:
    'input|at input|terminal|analog input|digital input|on ai2|via input|at terminal|on input|ai|on terminal|enabled|active|on digital input|on analog input|on',
  option: 'option|option board|option card|extension|optional module|on option|option module',
  stop: 'stop|ramp stop|decelerate|ramp|stop by ramp|stops|ramp to stop|decelerate to stop|deceleration|stop without fault|controlled stop|normal stop',

  source:
    'source|pnp|positive|to plus|plus|sourcing|positive logic|active high|high active|source logic|high|source pnp',
  sink: 'sink|npn|negative|to common|minus|sinking|negative logic|active low|low active|to 0 v|sink logic|low|sink npn',
  run: 'run|start|run stop|start stop|run command|on|run/stop|start/stop|start command',
  'run-forward':
    'run forward|forward|forward run|fwd|start forward|forward running|run fwd|forward rotation|right|clockwise|forward start|run forward stop|run right',
  'run-reverse':
    'run reverse|reverse run|rev|start reverse|reverse running|run rev|backward|reverse start|left|counterclockwise|run backward|run left|backward run|reverse rotation',
  'start-pulse':
    'start p|start pulse|pulse start|start momentary|3-wire start|latched start|start impulse|start push button|run pulse|momentary start|pulsed start|start latch',
  'stop-break':
    'stop break|stop n.c.|3-wire stop|stop inverse|stop pulse|three wire stop|3-wire|stop nc|three-wire|stop normally closed|3-wire operation|stop break contact|three wire control|3-wire control|stop push button',
  reverse:
    'reverse|direction|reversing|change direction|reversal|direction of rotation|rotation direction|forward/reverse|inversion|inverse|direction reverse|reverse direction|fwd/rev',
  jog: 'step by step|step by step jog|jog|jogging|inching|jog run|jog forward|jog speed|inch|jog frequency',
  enable: 'enable|run enable|drive enable|run permission|release|enabling|inverter enable|controller enable',
  interlock:
    'lock|interlock|run interlock|start interlock|external interlock|permissive|start inhibit|safety interlock|run permissive',
  'coast-break':
    'coast break|coast inverse|coast to stop|coast|free stop|coast stop|freewheel|coast n.c.|coast nc|free run stop|base block|output off|coast to stop (n.c.)|coast stop input|coast to stop nc',
  'external-trip':
    'external fault|external trip|trip make|external fault n.o.|trip|external alarm|external fault no|external fault normally open|outside trip|external error|external fault make|fault input|external fault input|external trip no',
  'external-trip-break':
    'external fault n.c.|trip break|external trip inverse|external fault nc|external fault normally closed|external trip nc|external fault break|external trip break|external alarm nc|external fault inverse|thermal contact nc',
  reset:
    'reset|fault reset|reset fault|clear fault|acknowledge|alarm reset|trip reset|error reset|fault acknowledge|reset faults|clear|acknowledgement|fault acknowledgement',
  'local-remote':
    'local remote|local or remote|hand auto|local/remote|remote|loc/rem|switch to local|hand/auto|local remote change|local remote switch|manual auto|control place|local control',
  'preset-1':
    'sp1|preset 1|preset bit 1|multi-speed 1|multi-step 1|fixed speed 1|preset bit 0|step speed 1|preset speed 1|multi-step speed 1|multi-speed bit 0|speed select 1|preset reference bit 0|fixed setpoint 1|multi-step terminal 1|step 1',
  'preset-2':
    'sp2|preset 2|preset bit 2|multi-speed 2|multi-step 2|fixed speed 2|step speed 2|preset speed 2|multi-step speed 2|speed select 2|fixed setpoint 2|multi-step terminal 2|step 2',
  'preset-3':
    'sp3|preset 3|preset bit 3|multi-speed 3|multi-step 3|fixed speed 3|step speed 3|preset speed 3|multi-step speed 3|speed select 3|fixed setpoint 3|multi-step terminal 3|step 3',
  'second-ramp':
    'second ramp|ramp 2|second acceleration|accel decel 2|ramp set 2|accel/decel selection|ramp select|ramp switch|ramp change|acc dec time selection|second ramp select|accel/decel time 2|ramp selection',
  'motor-up':
    'speed up|up|increase|motor potentiometer up|frequency up|up command|faster|motor pot up|mop up|increase speed|raise',
  'motor-down':
    'speed down|down|decrease|motor potentiometer down|frequency down|down command|slower|motor pot down|mop down|decrease speed|lower',
  'fast-stop-break':
    'fast stop|quick stop|quick stop inverse|fast stop break|emergency stop|fast stop nc|rapid stop|emergency stop nc|quick stop break|fast stop n.c.|quick stop nc',

  ready:
    'ready|drive ready|ready to run|healthy and ready|ready to start|ready to switch on|inverter ready|ready for operation|operational readiness|standby ready|ready for run',
  running:
    'running|run|drive running|motor running|inverter running|in operation|operation|operation enabled|in run|rotating|output active',
  tripped:
    'tripped|fault|trip|alarm|fault output|error|drive fault|drive trip|faulted|fault relay|in fault|fault trip|trip active',
  'not-tripped':
    'not tripped|no fault|healthy|no trip|fault inverse|fault inverted|no alarm|drive healthy|ok|drive ok|no error|not fault|fault (-1)|fault negated|fault n.c.',
  'at-reference':
    'at reference|at speed|at setpoint|target reached|frequency reached|speed reached|reference reached|setpoint reached|frequency arrival|at frequency|up to speed|frequency attained|on reference|set frequency reached',
  'above-frequency':
    'above frequency|above level|above threshold|frequency level|frequency detection|fdt|above speed|speed level|over level|threshold|frequency above level|above set frequency|frequency threshold|f level|frequency level detection|speed above threshold|frequency above limit|above limit|frequency exceeded|level exceeded',
  'brake-release':
    'brake release|brake|mechanical brake|brake control|open brake|lift brake|release brake|brake open|brake logic|motor brake|holding brake|mech. brake control',
  warning: 'warning|warn|any warning|alarm warning|pre-alarm|warning active|alarm',
  frequency:
    'frequency|output frequency|speed|output speed|motor speed|actual frequency|actual speed|running frequency|motor frequency',
  current: 'current|output current|motor current|load current|actual current',
  torque: 'torque|motor torque|output torque|load torque|actual torque',
  power: 'power|output power|motor power|actual power|load power',
  'bus-voltage':
    'bus voltage|dc bus voltage|bus volts|dc voltage|dc link voltage|bus|dc bus|intermediate circuit voltage|link voltage',

  encoder:
    'encoder|with encoder|pulse encoder|incremental encoder|pg|encoder board|tacho|incremental|with feedback|closed loop|quadrature|ttl encoder|htl encoder|enabled|on',
  'when-needed':
    'when needed|by temperature|automatic|temperature controlled|by heat|auto|on demand|thermal|while running|as needed|demand|only when running|thermostatic|when hot|only running|controlled by temperature|during run|run only|temperature dependent|on when running',
  even: 'even|8e1|e|even parity|8-e-1|even 8 1|8,e,1|even check',
  odd: 'odd|8o1|o|odd parity|8-o-1|odd 8 1|8,o,1|odd check',
  '9600': '9600|9.6 k|9.6|9600 bps|9.6 kbit/s|9600 baud',
  '19200': '19200|19.2 k|19.2|19200 bps|19.2 kbit/s|19200 baud',
  '38400': '38400|38.4 k|38.4|38400 bps|38.4 kbit/s|38400 baud',
  '57600': '57600|57.6 k|57.6|57600 bps|57.6 kbit/s|57600 baud',
  '115200': '115200|115.2 k|115.2|115200 bps|115.2 kbit/s|115200 baud',
  all: 'all|yes|all parameters|restore all|factory default|factory defaults|restore factory|reset all|full|execute|initialise|load defaults|all objects|complete|restore defaults|reset|activate|restore|start|initialize|default|everything|factory settings|reset to defaults|all values',
  'all-but-motor':
    'all but motor|except motor|except motor data|all except motor|without motor data|all but motor data|keep motor data|motor data kept|excluding motor parameters|except motor parameters|motor data retained|all values but motor data',
  now: 'now|yes|save|store|save now|execute|write|all objects|save all|start|on|save to memory|activate|store all|save parameters',
  'never-set': 'never set|not set|none|unset',
  set: 'set|done|ok|valid',
  'restart-by-itself':
    'restart by itself|goes on by itself|automatic|auto|automatic restart|resume|by itself|automatically|auto restart|restarts automatically|resume run|immediate|continue|auto resume|level|automatic start',
  'needs-new-run':
    'needs new run|manual|new run|new start|needs a new run|edge|acknowledge|reset required|new run command|new start command|manual reset|rising edge|run edge required|new start required|with new run|requires new start|manual restart|reset needed|with acknowledgement|restart required',
  '0-10V':
    '0-10 v|0 to 10 v|0...10 v|0-10v|voltage|v0-10|0..10 v|0 – 10 v dc|volts|voltage input|0-10 vdc|0 to +10 v|voltage 0-10 v|voltage signal',
  '0-20mA': '0-20 ma|0 to 20 ma|0...20 ma|ma0-20|0..20 ma|0-20ma|current 0-20 ma',
  '4-20mA':
    '4-20 ma|4 to 20 ma|4...20 ma|ma4-20|4..20 ma|4-20ma|current|current 4-20 ma|current input|live zero|current signal|milliamps',
  '±10V':
    '±10 v|-10 to 10 v|-10...+10 v|-10 to +10 v|v±10|bipolar|+/-10 v|-10..10 v|bipolar voltage|voltage ±10 v',
};
