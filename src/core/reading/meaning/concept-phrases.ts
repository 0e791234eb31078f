import type { ConceptId } from '../../equipment/concepts';

// Common practice, no source: how manuals call what can be set. One writing of each word is enough here (synonyms.ts
// knows the others); what is listed are the different ways to say it.

/** What manuals call each concept; ways to say it are parted by "|". */
export const conceptPhrases: Readonly<Record<ConceptId, string>> = {
  region:
    'region|region 50/60 hz|50 hz or 60 hz|factory default region|mains frequency 50/60 hz|base frequency selection 50 60|motor standard iec nema',
  macro:
    'application|application macro|macro|drive application|quick start application|predefined application',
  'control.mode':
    'motor type|type of motor|kind of motor|motor control|motor control mode|vector v/f|v/f or vector|control of motor v/f vector|drive control mode|speed control mode|control principle|motor type control',
  'control.torque-curve':
    'load curve|torque curve|v/f curve|load|load torque|constant or variable torque|variable torque|v/f curve selection|curve of v/f|load type|constant torque variable torque|load duty|drive duty|load application',
  'power.unit': 'power unit|unit of power|power display unit',
  language: 'language',
  'display.speed':
    'speed display|speed shown in|display of speed|speed unit|unit of speed display|display unit|hz rpm display|frequency display unit|display hz or rpm',
  'display.scale':
    'display scale|display times|scale of display|speed display scale|user display scale|display gain|display multiplier',

  'motor.power':
    'shaft output|shaft power|motor shaft power|motor rated shaft output|motor rating kw|rated kw|motor power|rated motor power|rated power|motor rated output|motor output|motor rated kw|motor kw|motor size',
  'motor.voltage':
    'motor voltage|rated motor voltage|rated voltage|base voltage|motor volts|maximum output voltage|output voltage rated|v/f base voltage|voltage at base frequency',
  'motor.current':
    'motor rated load current|rated load current|motor current|rated motor current|rated current|motor amps|motor full load current',
  'motor.frequency':
    'motor frequency|rated motor frequency|rated frequency|base frequency|motor base frequency|motor hertz|v/f base frequency|frequency of motor plate|field weakening frequency',
  'motor.speed':
    'motor full load speed|rated shaft speed|speed at rated load|motor speed|rated motor speed|rated speed|motor rpm|rated rpm|motor rated rotational speed|motor turns|motor base speed',
  'motor.cosphi': 'cosphi|motor cosphi|rated cosphi|motor rated cosphi',
  'motor.poles': 'poles|motor poles|number of poles of motor',
  'motor.stator-resistance':
    'stator resistance|motor stator resistance|stator|stator resistor|motor resistance|resistance of stator per phase|stator winding resistance|line to line resistance',
  'motor.no-load-current': 'noload current|motor noload current|noload|motor noload|rated noload current',
  'motor.ident':
    'ident|motor ident|motor parameter ident|motor data ident|ident mode|ident function|ident static rotating|ident start|perform ident',
  'motor.ident-state':
    'ident state|state of ident|motor ident state|ident status|ident result|motor model state',
  'motor.direction':
    'motor turns direction|direction|motor direction|direction of motor|forward direction|motor phase direction|invert direction|direction inversion|swap motor phases|output direction|change direction|direction setting',
  'motor.cooling': 'cooling|motor cooling|motor fan|motor cooling self forced|motor with separate fan',

  'limit.minimum-frequency':
    'min freq|min output freq|min speed|low limit freq|freq low limit|low speed|lower limit of freq|low speed limit|speed low limit|output freq low limit|freq min limit|min motor speed|limit min|f min|n min',
  'limit.maximum-frequency':
    'max freq|max output freq|max speed|high limit freq|freq high limit|high speed|upper limit of freq|high speed limit|speed high limit|output freq high limit|freq max limit|max motor speed|limit max|f max|n max|max allowed freq|max operating freq|upper freq|freq ceiling',
  'limit.current':
    'output current ceiling|current ceiling|peak current|overcurrent limit|max current percent|current limit|max current|output current limit|motor current limit|current limit level|current limiting|stall current|overcurrent stall level|max output current|overcurrent stall limit|stall prevention level|current limit percent',
  'limit.current-amps':
    'current limit|max current|output current limit|motor current limit|max output current|current limiting|current limit amps',
  'limit.torque':
    'torque limit|max torque|motoring torque limit|torque limit motoring|torque upper limit|max motor torque|forward torque limit|drive torque limit|torque limit positive',
  'limit.regenerative-torque':
    'regenerative torque limit|torque limit regenerative|regenerative torque|torque limit brake|brake torque limit|torque limit negative|max regenerative torque|regenerative limit|torque limit generator',
  'limit.reverse':
    'direction lock|anti-reverse|lock of direction|allowed direction|direction of rotation allowed|reverse|reverse allow|reverse forbid|forbid reverse|reverse enabled|reverse disable|reverse inhibit|reverse lock|reverse enable|reverse operation|reverse protection|allow reverse|no reverse|negative speed allow|motor rotation directions allowed|direction allow|forbid reverse|reverse run prohibit|direction limit',
  'limit.skip-from':
    'skip from|skip freq low|skip band from|skip freq from|skip freq start|skip band low|skip freq 1 low|skip freq 1 from|skip band start|skip speed from|skip freq lower limit',
  'limit.skip-to':
    'skip to|skip freq high|skip band up to|skip freq up to|skip freq end|skip band high|skip freq 1 high|skip freq 1 up to|skip band end|skip speed up to|skip freq upper limit',

  'ramp.up':
    'accelerate from 0 to max|time 0 to max|time from zero to max speed|time to accelerate|accel|accel time|ramp up time|accel time 1|time to max freq|accel ramp|accel ramp time|up time|time up|accel ramp 1|ramp 1 accel|main accel time|starting ramp time',
  'ramp.down':
    'decelerate from max to 0|time max to 0|time from max to zero speed|time to decelerate|decel|decel time|ramp down time|decel time 1|decel ramp|decel ramp time|down time|time down|decel ramp 1|ramp 1 decel|main decel time|stop ramp time',
  'ramp.up-2':
    'accel time second|second accel|accel second|ramp second accel|second accel ramp|accel ramp second',
  'ramp.down-2':
    'decel time second|second decel|decel second|ramp second decel|second decel ramp|decel ramp second',
  'ramp.fast-stop':
    'faststop|faststop time|faststop ramp|faststop decel time|faststop ramp time|stop ramp for faststop',
  'ramp.s-curve':
    'scurve|scurve share|scurve time|ramp scurve|ramp shape|scurve at accel|ramp rounding|scurve percent|accel decel scurve|ramp type scurve',
  'ramp.counts-to':
    'counts|ramp counts to|counts to max or base freq|accel decel counts|ramp reference freq|ramp time reference|reference freq of ramp',
  'stop.mode':
    'how to stop|stopping procedure|stop behaviour|behaviour at stop|stop characteristic|stopmode|stopmode selection|stop|stop action|stop function|stop mode|coast or ramp at stop|action at stop|function at stop|stop ramp or coast|stopmode of motor',
  'stop.dc-time':
    'dcbrake time|dc time|dcbrake time at stop|dcbrake duration|stop dcbrake time|dc brake time|dcbrake time on stopping',
  'stop.dc-current':
    'dcbrake current|dc current|dcbrake level|dcbrake force|dcbrake strength|dc brake level|dcbrake power|dcbrake intensity|dcbrake voltage|dcbrake current at stop|dcbrake torque',
  'stop.hold-frequency':
    'dcbrake level freq|dcbrake threshold freq|dcbrake speed threshold|freq threshold of dcbrake|dcbrake level speed|start of dcbrake|dcbrake on frequency|dcbrake cut-in|dcbrake freq|dcbrake starts at|dcbrake start freq|dcbrake from freq|dcbrake begin freq|freq of dcbrake at stop|dc brake freq|dcbrake starting freq|dcbrake cut in speed|stop dcbrake freq|dcbrake on speed',
  'start.dc-time':
    'dcbrake time at start|dcbrake before start|start dcbrake time|dcbrake start time|dc hold before start|pre start dcbrake time|premagnetising time|pre-excitation time|dcbrake time starting|magnetising time before start',
  'start.flying':
    'flying|flying mode|flying function|flying selection|start flying|flying enable|flying motor|start on turning motor|catch a motor that turns',
  'start.boost':
    'voltage boost at start|initial voltage|low speed voltage|boost|boost level|boost value|manual boost|boost gain|boost at low speed|boost voltage|low freq boost',
  'start.frequency':
    'start|start freq|start output freq|starting output freq|starting speed|freq at start|start at',

  'place.selected':
    'local or remote mode|local remote selector|localremote|localremote selection|operating mode localremote|local remote|localremote key|localremote mode|active localremote',
  'place.local-run':
    'local run|local run source|local control source|run source local|local start source|local mode run|local command',
  'place.local-reference':
    'local reference|local reference source|reference source local|local speed source|local freq source|local setpoint|local speed|local mode speed',
  'place.remote-run':
    'remote run|remote run source|run source|start source|command source|run command source|control source|operation source|run source remote|source of run|run mode|operation mode|start stop source|control command|run from|run control|run source 1|command channel|control mode start stop|terminal or keypad run|operating mode|operation control|control place',
  'place.remote-reference':
    'main speed input|main speed source|speed input|speed setpoint source|frequency input|main setpoint|remote reference|remote reference source|reference source|freq source|speed source|speed reference source|freq reference source|reference source remote|source of reference|source of freq|speed from|freq command|reference channel|freq control|main freq source|reference source 1|freq reference selection|reference selection|source of speed|main reference|reference input selection|speed control source',
  'place.keypad-stop':
    'stopkey|stopkey active|stopkey mode|stopkey function|keypad stop|stopkey enable|stopkey works|stopkey priority|keypad stopkey|stopkey always active|stop priority of keypad',
  'run.wiring':
    'two or three wire|run wiring type|control wiring|wire mode|wiring|run wiring|terminal wiring|wiring mode|wiring control|terminal run mode|wiring of run|start stop wiring|wiring selection|terminal control wiring',
  'run.enable-needed':
    'enable|enable required|enable input required|run enable|enable input|enable signal required|enable selection|drive enable required|enable function|enable di',
  'coast.source':
    'coast source|coast from|coast by|coast command source|coast logic|coast selection|coast control|coast stop source|coast command',
  'run.serial-control':
    'serial control|serial word|control word|serial control word|serial run enable|control by serial|serial control enable|control over serial|serial control word active',
  'reference.keypad':
    'keypad reference|keypad speed|keypad freq|digital reference|keypad freq setting|reference of keypad|keypad setpoint|digital freq setting|initial freq keypad|keypad preset freq|freq set by keypad|internal reference|digital speed reference',
  'reference.zero-band':
    'deadband|reference deadband|ai deadband|deadband of reference|ai 1 deadband|reference zero band|analog deadband',
  'reference.loss':
    'analog input fault action|loss of analog signal|loss of speed signal|reference missing|ai fault response|analog input monitoring|signal loss action|ai lost action|broken wire ai|reference loss|loss of reference|reference loss action|action on reference loss|ma4-20 loss|ma4-20 loss action|loss of ma4-20|ai loss|ai loss action|live zero|live zero action|live zero timeout function|ai signal loss|ma4-20 fault|loss of ma4|speed signal loss|analog signal loss|reference fault action|speed reference loss|current loop loss|ma4 loss|ai wire break|ai below minimum',

  'input.polarity':
    'common of inputs|di common|polarity|di polarity|input polarity|di logic|polarity of di|inputs switch|input logic|terminal polarity|logic|inputs read|di mode polarity',
  'input.DI1': 'di 1|di 1 function|function of di 1|input 1|input 1 function|terminal 1 function|terminal 1',
  'input.DI2':
    'di second|di second function|function of di second|input second|input second function|terminal second function|terminal second',
  'input.DI3': 'di 3|di 3 function|function of di 3|input 3|input 3 function|terminal 3 function|terminal 3',
  'input.DI4': 'di 4|di 4 function|function of di 4|input 4|input 4 function|terminal 4 function|terminal 4',
  'input.DI5': 'di 5|di 5 function|function of di 5|input 5|input 5 function|terminal 5 function|terminal 5',
  'input.DI6': 'di 6|di 6 function|function of di 6|input 6|input 6 function|terminal 6 function|terminal 6',
  'input.filter':
    'di filter|di filter time|input filter|terminal filter|di delay|filter of di|input filter time|di response time|terminal filter time|filter',
  'input.AI1-signal':
    'ai 1 format|ai 1 voltage or current|ai 1 input kind|ai 1|ai 1 signal|ai 1 mode|ai 1 range|signal of ai 1|ai 1 signal range|ai signal|ai 1 type|ai 1 current voltage|ai mode|analog a|analog a signal|ai range|ai|ai type|analog signal',
  'input.AI1-low':
    'ai 1 min|ai 1 low|ai 1 zero|ai 1 min reference|ai 1 at zero|ai 1 bias|ai min|ai 1 lower limit|ai 1 low reference|reference at ai 1 min|ai zero|ai 1 start|analog a at nothing|ai low|ai 1 setting at minimum|ai bias|freq at ai 1 min|ai 1 low scale',
  'input.AI1-high':
    'ai 1 max|ai 1 high|ai 1 full|ai 1 max reference|ai 1 at full|ai 1 gain|ai max|ai 1 upper limit|ai 1 high reference|reference at ai 1 max|ai full|ai 1 end|analog a at full|ai high|ai 1 setting at maximum|ai gain|freq at ai 1 max|ai 1 high scale',
  'input.AI1-filter':
    'ai 1 filter|ai 1 filter time|ai filter|filter ai 1|ai filter time|ai 1 time|analog a filter|analog filter|analog filter time|ai 1 delay',
  'input.AI2-signal':
    'ai second format|ai second voltage or current|ai second input kind|ai second|ai second signal|ai second mode|ai second range|signal of ai second|ai second signal range|ai second type|ai second current voltage|analog b|analog b signal',
  'input.AI2-low':
    'ai second min|ai second low|ai second zero|ai second min reference|ai second at zero|ai second bias|ai second lower limit|ai second low reference|reference at ai second min|ai second start|analog b at nothing|ai second low scale',
  'input.AI2-high':
    'ai second max|ai second high|ai second full|ai second max reference|ai second at full|ai second gain|ai second upper limit|ai second high reference|reference at ai second max|ai second end|analog b at full|ai second high scale',
  'output.RO1':
    'ro|ro 1|ro 1 function|function of ro 1|ro function|ro 1 output|fault ro|ro 1 signal|output 1 function|function of ro|ro 1 source',
  'output.RO2':
    'ro second|ro second function|function of ro second|ro second output|ro second signal|output second function|ro second source',
  'output.level':
    'level|freq level|ro level|level freq|freq level of ro|output freq level|speed level|ro level freq|freq reached level|level 1|freq level 1|at freq level|ro threshold|freq arrival level',
  'output.AO1':
    'ao|ao 1|ao function|ao 1 function|function of ao|ao selection|ao source|ao 1 source|analog meter|meter|ao 1 output|ao quantity|ao variable',
  'output.AO1-signal':
    'ao signal|ao 1 signal|ao range|ao type|ao 1 range|ao mode|ao 1 type|signal of ao|ao 1 mode|analog signal output|ao current voltage|ao signal range',
  'output.AO1-full':
    'ao full|ao 1 full|ao at full|ao gain|ao 1 gain|ao scale|ao 1 scale|ao max|ao full scale|ao 1 max|meter full|meter gain|ao end',
  'preset.1': 'preset 1|preset speed 1|preset freq 1|preset reference 1|preset 1 freq|preset 1 speed',
  'preset.2':
    'preset second|preset speed second|preset freq second|preset reference second|preset second freq|preset second speed',
  'preset.3': 'preset 3|preset speed 3|preset freq 3|preset reference 3|preset 3 freq|preset 3 speed',
  'preset.4': 'preset 4|preset speed 4|preset freq 4|preset reference 4|preset 4 freq|preset 4 speed',
  'preset.5': 'preset 5|preset speed 5|preset freq 5|preset reference 5|preset 5 freq|preset 5 speed',
  'preset.6': 'preset 6|preset speed 6|preset freq 6|preset reference 6|preset 6 freq|preset 6 speed',
  'preset.7': 'preset 7|preset speed 7|preset freq 7|preset reference 7|preset 7 freq|preset 7 speed',
  'jog.frequency': 'jog|jog freq|jog speed|jog reference|freq of jog|jog run freq|jog output freq',

  'protect.overload-amps':
    'motor thermal current|thermal current|thermal setting|overload|overload current|overload level|motor overload|motor overload current|overload setting|motor overload level|overload trip current|overload rated current|overload amps|motor overload protection current|overload threshold',
  'protect.overload-percent':
    'motor thermal factor|thermal factor|motor thermal level|thermal overload percent|overload|overload current|overload level|motor overload|motor overload current|overload percent|motor overload level|overload trip level|overload % of drive|overload percent of drive current|motor overload protection level|overload factor|overload gain|overload coefficient|overload current percent',
  'protect.overload':
    'overload action|motor overload action|action on overload|overload protection|overload protection action|overload selection|overload mode|overload function|motor overload protection|on overload|overload protection selection|motor overload protection mode|overload trip selection|motor overload fault action',
  'protect.input-phase':
    'phase loss supply|phase supply|loss phase input|phase failure at input|inputphase|inputphase loss|inputphase action|inputphase protection|inputphase loss action|on inputphase loss|inputphase fault|inputphase loss fault action|inputphase monitoring|inputphase loss protection|inputphase unbalance',
  'protect.output-phase':
    'phase loss motor|phase motor|loss phase output|phase failure at output|outputphase|outputphase loss|outputphase action|outputphase protection|outputphase loss action|on outputphase loss|outputphase fault|outputphase loss fault action|outputphase monitoring|outputphase loss protection',
  'protect.ground-fault':
    'ground|ground fault|ground action|ground protection|ground fault action|ground fault protection|on ground fault|ground detection|ground fault detection|ground monitoring',
  'protect.undervoltage':
    'mains failure action|power loss action|action on mains failure|supply loss ridethrough|undervoltage|undervoltage action|undervoltage protection|action on undervoltage|undervoltage control|ridethrough|undervoltage ridethrough|ridethrough function|on undervoltage|undervoltage fault action|ridethrough selection|ridethrough enable|undervoltage mode',
  'protect.overvoltage-control':
    'overvoltage control|overvoltage|overvoltage protection|overvoltage suppression|overvoltage controller|overvoltage limit|overvoltage prevention|overvoltage stall prevention|overvoltage stall|decel extension|bus overvoltage control|overvoltage regulation|overvoltage function|ramp extension on high bus',
  'protect.stall':
    'stall|stall action|stall protection|stall fault|stall function|action on stall|stall detection|stall mode|on stall|motor stall action|stall fault action|motor stall protection',
  'protect.stall-time':
    'stall time|stall delay|stall detection time|time for stall|motor stall time|stall fault time|stall protection time',
  'protect.thermistor':
    'thermistor|thermistor source|thermistor input|motor thermistor|thermistor protection|thermistor selection|thermistor action|thermistor enable|thermistor function|motor temperature protection source',
  'protect.external':
    'external fault|external fault action|external|external action|action on external fault|external trip action|on external fault|external fault mode|external fault selection|external fault function',
  'protect.encoder':
    'encoder loss|encoder loss action|encoder action|encoder fault|encoder protection|action on encoder loss|encoder fault action|encoder monitoring|encoder break action|speed feedback loss|on encoder loss|loss of encoder|encoder|feedback',
  'protect.serial':
    'serial loss|serial loss action|serial action|serial fault|serial fault action|action on serial loss|serial protection|serial timeout action|serial timeout function|on serial loss|serial error action|loss of serial|serial break|serial loss function|serial timeout fault action|serial fault mode|serial fault response|on loss of serial',
  'protect.serial-time':
    'serial timeout|serial timeout time|serial loss time|serial watchdog|serial time|serial waits|serial delay|timeout|serial fault time|serial loss delay|timeout of serial|serial break time|serial error time|timeout time|serial fault detection time',
  'restart.count':
    'max number of resets|number of resets|max resets|reset trials|number of retries|reset count|reset number|restart|restart count|restart number|number of restarts|restart attempts|restart times|number of restart attempts|fault restart count|restart enable number|restart by itself|max restarts',
  'restart.delay':
    'delay between resets|time between resets|reset waiting time|pause before reset|reset delay|reset interval|delay before reset|restart delay|restart time|restart interval|restart after|time between restarts|restart delay time|fault restart delay|restart waiting time|time before restart|restart wait',
  'restart.power-on':
    'run poweron|poweron run|poweron start|start poweron|poweron|restart poweron|poweron auto start|poweron run selection|run after poweron|poweron restart|poweron mode|start after poweron|automatic start poweron|poweron operation|poweron running lockout',
  'feedback.encoder':
    'encoder selection|encoder|speed feedback|encoder enable|encoder type|feedback source|encoder feedback|feedback selection|encoder used|encoder option|encoder mode|type of encoder|feedback|encoder function',
  'feedback.lines':
    'encoder resolution|pulses per turn|encoder pulse number|encoder increments|encoder lines|lines|encoder pulses|pulses of encoder|encoder ppr|lines of encoder|number of encoder lines|encoder lines count',
  'brake.chopper':
    'chopper|chopper enable|chopper function|chopper control|chopper selection|chopper mode|chopper active|use of chopper|chopper on|chopper operation',
  'brake.resistance':
    'resistor|resistor resistance|chopper resistance|resistor value|resistance of resistor|resistor ohms|brake resistance|chopper resistor resistance|chopper resistor',
  'brake.power':
    'resistor power|power of resistor|chopper power|resistor rated power|chopper resistor power|resistor power limit|resistor kw|resistor continuous power|power rating of resistor|resistor thermal power',
  'brake.release-current':
    'mechanical release|mechanical brake release current|brake release|brake release current|mechanical brake current|release current|brake open at|mechanical current|brake release level|mechanical brake opens at',
  'brake.release-delay':
    'mechanical delay|brake delay|mechanical brake delay|brake release delay|brake release time|mechanical time|mechanical brake time|brake opening time|mechanical brake release delay|brake open delay',
  'switching.frequency': 'carrier|carrier freq|carrier setting|carrier selection',
  'switching.auto-derate':
    'carrier derate|carrier auto|carrier auto derate|derate|auto carrier|carrier falls when hot|carrier adjustment with temperature|carrier reduction|carrier temperature|carrier automatic adjustment|temperature dependent carrier',
  'fan.mode':
    'fan|fan mode|fan control|fan operation|fan function|drive fan|fan run mode|fan selection|drive fan control|fan on off',
  'energy.optimising':
    'energy|energy mode|energy function|energy enable|energy control|energy selection|energy operation',

  'pid.enable':
    'pid|pid enable|pid mode|pid function|pid selection|pid active|pid control enable|pid operation|pid control mode|pid action enable|use of pid',
  'pid.gain': 'pid gain|gain|pid proportional|gain p|p gain|pid p',
  'pid.time': 'pid integral|integral|pid integral time|integral time|pid i time|pid time',
  'pid.setpoint':
    'pid setpoint|pid reference|pid target|setpoint|pid digital setpoint|pid keypad setpoint|pid internal setpoint|pid digital reference|pid set point value',
  'pid.sleep':
    'sleep|sleep freq|sleep level|sleep below|sleep speed|pid sleep|pid sleep freq|sleep threshold|sleep function freq|sleep start freq',
  'serial.address':
    'serial address|address|drive address|modbus address|node address|address of drive on serial',
  'serial.speed': 'speed serial|baud|serial baud|serial speed|baud of serial|serial transmission speed',
  'serial.parity':
    'stop bits|parity stop bits|bits and parity|serial data bits|parity|serial parity|serial format|parity stop bits|parity and stop bits|serial frame|serial protocol format',
  'lock.code':
    'code|code number|access code|user code|lock code|password|user password|password setting|parameter password|set password|enter password|password input|lock password|menu password',
  'lock.parameters':
    'paramlock|paramlock selection|paramlock function|paramlock mode|paramlock active|paramlock enable|keypad paramlock',
  'factory.reset':
    'factory|factory reset|load factory|reset to factory|factory reset function|factory initialisation|factory load|restore factory|factory parameters',
  'store.save': 'save|save all|save to eeprom|save function|save mode|save parameters|save changes',
  'clock.set': 'clock|clock set|set clock|clock state|clock setting',
  'safe-stop.reset':
    'sto|after sto|sto restart|sto reset|restart after sto|sto acknowledge|sto mode|sto restart mode|sto action|sto response|sto function reset',
};

/** Defaults that are usual, where a concept is a number. Common practice, no source. */
export const usualDefaults: Partial<Record<ConceptId, readonly [low: number, high: number]>> = {
  'motor.power': [0.1, 500],
  'motor.voltage': [180, 720],
  'motor.frequency': [45, 65],
  'motor.speed': [650, 3600],
  'motor.cosphi': [0.6, 0.96],
  'motor.poles': [2, 12],
  'limit.minimum-frequency': [0, 15],
  'limit.maximum-frequency': [45, 130],
  'limit.current': [90, 220],
  'limit.torque': [80, 310],
  'limit.regenerative-torque': [50, 310],
  'ramp.up': [0.5, 120],
  'ramp.down': [0.5, 120],
  'ramp.up-2': [0.5, 180],
  'ramp.down-2': [0.5, 180],
  'ramp.fast-stop': [0, 30],
  'stop.dc-time': [0, 30],
  'stop.dc-current': [0, 100],
  'stop.hold-frequency': [0, 12],
  'start.dc-time': [0, 10],
  'start.boost': [0, 20],
  'start.frequency': [0, 6],
  'reference.zero-band': [0, 10],
  'input.AI1-low': [-100, 20],
  'input.AI1-high': [50, 200],
  'input.AI2-low': [-100, 20],
  'input.AI2-high': [50, 200],
  'output.AO1-full': [50, 200],
  'jog.frequency': [1, 15],
  'protect.overload-percent': [20, 120],
  'protect.stall-time': [0.1, 120],
  'protect.serial-time': [0, 120],
  'restart.count': [0, 10],
  'restart.delay': [0, 180],
  'feedback.lines': [200, 5000],
  'brake.resistance': [3, 500],
  'switching.frequency': [1, 16],
  'serial.address': [0, 127],
  'lock.code': [0, 9999],
};
