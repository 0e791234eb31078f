// Common practice, no source: what manuals list besides what every drive has.

/** Names of parameters that are none of the dictionary's; ways to say it are parted by "|". */
export const otherPhrases: Readonly<Record<string, string>> = {
  monitors:
    'running frequency|actual output frequency|current frequency|present frequency|output current|output voltage|output power|output torque|dc bus voltage|dc link voltage|actual current|actual speed|actual frequency|motor temperature|heatsink temperature|drive temperature|drive temp|temperature of heatsink|inverter temperature|output frequency monitor|motor thermal state|state thermal|load monitor|actual torque|motor speed monitor|input power|reference monitor|speed feedback monitor|ambient temperature|control temperature|actual value|process value|present value|input terminal state|state of inputs|output terminal state|digital input status|ai 1 value|ai second value|status of inputs|measured value',
  history:
    'fault 1 code|last fault|fault history|fault record|previous fault|fault log|latest fault|fault memory|fault second code|fault 3 code|fault at time|frequency at fault|current at fault|voltage at fault|fault 1 time|number of faults|alarm history|reset fault history|clear fault history|fault history clear',
  counters:
    'running hours|operating hours|run time|elapsed run time|power on time|hour counter|running time|accumulated running time|accumulated power on time|energy counter|energy meter|energy meter reset|kwh counter|time of functioning|start counter|number of starts|maintenance interval|service interval|fan running time|fan life|time of operation|reset hour counter|energy consumption',
  versions:
    'software release|firmware release|program version|software version|firmware version|serial number|drive type|drive rated current|drive rated power|drive rated voltage|rated current of drive|product code|version|hardware version|rated power of drive|inverter capacity|drive model|identity number|order number|drive size|type of drive',
  'motor model':
    'slip compensation|compensation of slip|slip compensation gain|slip frequency|rated slip|leakage inductance|motor leakage inductance|stator inductance|rotor resistance|rotor time constant|mutual inductance|motor inductance|magnetising inductance|q axis inductance|d axis inductance|back emf|flux level|motor inertia|stabilisation gain|oscillation damping|hunting prevention|resonance damping|ir voltage drop|boost select|boost mode|automatic boost|dead time compensation|voltage regulation avr|avr|overmodulation|slip limit|motor cable length',
  'second motor':
    'motor second rated current|motor second rated power|motor second rated voltage|second motor|motor selection|motor second rated frequency|motor second rated speed|motor second cosphi|motor second control',
  'v/f points':
    'v/f frequency 1|v/f voltage 1|v/f point|multi-point v/f|v/f frequency second|v/f voltage second|v/f frequency 3|v/f voltage 3|middle frequency|middle voltage|minimum voltage|v/f user point',
  'more skips':
    'skip frequency|skip freq band|skip band width|skip frequency band|skip bandwidth|skip width|skip frequency second|skip frequency 3|skip frequency second low|skip frequency second high|skip second from|skip second to',
  loops:
    'torque filter|speed filter|current filter|feedback filter|torque current filter|flux filter|speed loop gain|speed loop integral time|speed controller gain|speed controller integral|speed regulator proportional gain|current loop gain|current controller|torque loop|speed loop filter|droop|droop control|pid derivative|derivative time|pid output limit|pid feedback source|feedback source of pid|pid source|pid feedback|pid upper limit|pid lower limit|pid deviation limit|wake-up|wake up level|sleep delay|wake-up delay|sleep time|pid sampling time|pid polarity|pid inversion',
  'other sources':
    'setpoint inversion|reference inversion|inverted reference|ai inversion|auxiliary frequency source|auxiliary frequency|frequency source b|auxiliary reference|second reference source|reference channel second|reference source second|channel of reference second|auxiliary frequency source gain|torque reference source|torque setpoint|torque control|frequency source combination|main and auxiliary|reference switching|switch-over of reference|sum of references|bias frequency',
  'more terminals':
    'counter preset|preset counter value|counter set value|timer setting|timer delay|timer 1|ao second function|ao second|ai 3|ai 3 signal|pulse input|pulse input maximum|pulse output|pulse input frequency|relay delay|ro on delay|ro off delay|di delay on|virtual input|virtual terminal|ai curve|ao offset|ao bias|ao min|ao filter|ao 1 filter|ao 1 bias|di status|timer|counter value|counter reset|detection hysteresis|fdt hysteresis|frequency arrival width|level hysteresis|di 7 function|di 8 function|ro 3 function|ro 4 function|digital in select|ai second filter|ai second gain|ai 1 offset voltage',
  'more ramps':
    'jog acceleration time|jog deceleration time|accel time 3|accel time 4|decel time 3|decel time 4|ramp switch-over frequency|acceleration switch frequency|forward reverse dead time|dead time|reversal time|ramp unit|time unit of ramps|adaptation of ramp|ramp adaptation|automatic ramp|stop delay|start delay|minimum run time|ramp selection|ramp mode|unit of ramp',
  'more presets':
    'preset 8|preset speed 8|preset speed 9|preset speed 10|preset speed 11|preset speed 12|preset speed 13|preset speed 14|preset speed 15|preset freq 8|preset freq 9|preset freq 10|preset freq 15',
  textile:
    'wobble amplitude|traverse|wobble|wobble frequency|length|fixed length|plc mode|simple plc|program run|cycle time|step time|program step',
  limits:
    'frequency detection|underload level|underload time|load loss|overtorque level|overtorque time|speed deviation|overspeed level|torque limit source|current limit gain|stall frequency|stall torque|underload function|belt break|current limit time|warning level|overload warning level|overload pre-alarm|bus regulator gain|overvoltage stall gain|undervoltage level|overvoltage level|bus overvoltage level|braking level|chopper level|brake chopper threshold|braking voltage|chopper duty|brake duty cycle|restart fault selection',
  keys: 'key function|function key|multifunction key|display at power on|display selection|display parameter|display brightness|backlight|contrast|reading of display|parameter display|monitor selection|run display|stop display|custom display|copy|parameter copy|upload|download|keypad copy|menu mode|user menu|quick menu|key beep',
  bus: 'response delay|reply delay|telegram|process data|pzd|pkw|baud canopen|node guarding|heartbeat|ethernet address|ip address|subnet mask|gateway|fieldbus option|option card|communication protocol|protocol selection|bus monitor|communication decimals|process data word|mac address|communication mapping',
};
