import { withoutEnds } from '../../text';

// Common practice, no source: how manuals head the columns of their tables.

/** What a column of a manual's table holds. */
export type Role =
  | 'number'
  | 'name'
  | 'range'
  | 'min'
  | 'max'
  | 'unit'
  | 'default'
  | 'default-50'
  | 'default-60'
  | 'step'
  | 'choices'
  | 'choice-value'
  | 'choice-name'
  | 'register'
  | 'other'
  | 'code'
  | 'cause'
  | 'remedy'
  | 'fault-name';

const writings: Readonly<Record<Role, string>> = {
  number:
    'parameter|no|nr|number|par no|para no|parameter no|parameter number|par nr|param no|param|par|pr|function code|func code|function no|function number|fn code|id|index|item no|#|number of parameter|param number|object|object index|index sub|index:sub|parameter code|code no|para|p no|menu no|setting no|entry no|para number|fct|func no|obj|param nr|parameter id|parameter nr',
  name: 'name|description|designation|parameter name|title|parameter description|function name|meaning|function|contents|definition|denomination|setting item|parameter title|name of parameter|item|label|function description|text|object name|parameter function|parameter text|display text|designation of parameter|parameter designation|short name|quantity|name and function|name function|explanation of parameter',
  range:
    'range|setting range|set range|adjustment range|permissible range|limits|min max|value range|range of setting|setting limits|adjustable range|range of values|min to max|permitted range|setting values|min - max|allowed range|range of adjustment|entry range|input range|values|allowed values|valid range|setting|settings|setting range options|range options|range choices|range / options|possible values|setting range choices|range or choices|range and choices|value|set values|options range|setting span|span|adjusting range|possible settings',
  min: 'min|minimum|min value|minimum value|lower limit|low limit|lowest|from|least|low',
  max: 'max|maximum|max value|maximum value|upper limit|high limit|highest|to|most|high',
  unit: 'unit|units|dim|dimension|eng unit|engineering unit|measuring unit|unit of measure|physical unit',
  default:
    'default|default value|factory setting|factory|factory default|initial value|initial|works setting|factory value|def|def value|preset|preset value|delivery setting|ex works|ex factory|factory settings|factory set|standard|standard value|shipped|basic setting|as delivered|default setting|initial setting|std|manufacturer setting|delivered|factory preset|delivery|set at works|works default|fact setting|fac setting',
  'default-50':
    'default 50 hz|50 hz|factory setting 50 hz|50hz|default 50hz|factory 50 hz|iec default|default iec|eu|default eu|factory setting eu|setting 50 hz|50 hz default|50 hz setting|works setting 50 hz|iec|default value 50 hz|ex works 50 hz|initial value 50 hz|initial 50 hz',
  'default-60':
    'default 60 hz|60 hz|factory setting 60 hz|60hz|default 60hz|factory 60 hz|nema default|default nema|us|default us|usa|factory setting us|setting 60 hz|60 hz default|60 hz setting|works setting 60 hz|nema|default value 60 hz|ex works 60 hz|initial value 60 hz|initial 60 hz',
  step: 'step|resolution|increment|increments|min unit|minimum unit|minimum setting unit|setting step|smallest step|accuracy|min setting unit|step size|precision|least step|scale',
  choices:
    'options|choices|selection|selections|setting options|list|choice|value list|selection list|enumeration|choices and meaning|value and meaning|meaning of values|values and meaning|option list|setting choices|value text|selectable values|option',
  'choice-value': 'option value|choice value|option no|sel|selection no|set value',
  'choice-name':
    'option text|value meaning|choice name|option name|selection text|meaning of value|option meaning',
  register:
    'address|register|modbus|modbus address|comm address|reg|bus address|modbus register|communication address|addr|serial address|reg no|register address|holding register|modbus reg|comm addr|modbus no|rtu address|reg address|rtu register|adr|comms address|bus register',
  other:
    'change|access|run|modify|attribute|type|r/w|rw|lock|level|note|notes|remark|remarks|comment|comments|page|see page|user|user setting|customer|customer setting|explanation|details|ref|attr|access level|property|reference page|in run|change in run|data type|changeable|format|chg|own setting|mode|see|write|change during run|editable|hints|more|group|your value|yours|rd/wr|modifiable|stop|lcd|lock level|when running|online|user value|my setting|my value|write in run|protection|set at stop|hint|change at run|detail|customer value',
  code: 'fault code|alarm code|error code|code|display|fault no|error|error no|trip code|alarm no|fault number|alarm number|led|alarm|trip|trip no|fault display|display code|displayed|warning code|event code|event|event no|error number|code shown|shown|fault id|message no|indication|keypad display|code on display',
  'fault-name':
    'fault|fault name|fault description|type of fault|fault type|error name|alarm name|fault message|trip name|alarm description|error description|what happened|message|event name|error type|failure|kind of fault|name of fault|alarm text|fault text|trip description|fault meaning|protection|text shown',
  cause:
    'cause|causes|possible cause|possible causes|reason|probable cause|reasons|likely cause|possible reason|probable causes|likely causes|possible reasons|cause of fault|origin|why',
  remedy:
    'remedy|action|corrective action|what to do|countermeasure|solution|measures|check|troubleshooting|remedies|corrective actions|countermeasures|recommended action|checks|possible remedy|actions|measure|correction|solutions|what to check|help|possible solution|first checks|to do|removal|elimination|recommended actions|possible remedies|possible solutions|corrective measures|first check',
};

const roleOf = new Map<string, Role>();
for (const [role, list] of Object.entries(writings) as [Role, string][])
  for (const text of list.split('|')) if (!roleOf.has(text)) roleOf.set(text, role);

const plainHead = (text: string): string =>
  text
    .toLowerCase()
    .replace(/\([^()]*\)|\[[^[\]]*\]/g, ' ')
    .split(/\s+/)
    .map((word) => withoutEnds(word, '.:*†…–—/-').replace(/\./g, ''))
    .filter((word) => word !== '')
    .join(' ');

/** What a column's head says of it; undefined where the head is none we know. */
export function roleOfHead(text: string): Role | undefined {
  const plain = plainHead(text);
  const direct = roleOf.get(plain) ?? roleOf.get(plain.replace(/-/g, ' '));
  if (direct !== undefined) return direct;
  // What is in brackets may be the better part: "Default (50 Hz)".
  const open = text
    .toLowerCase()
    .replace(/[()[\].]/g, ' ')
    .replace(/[–—…-]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return roleOf.get(open);
}

/** Heads by what else the table has: "Code" and "Function" mean one thing beside a range, another beside a cause. */
export function rolesOfHeads(
  heads: readonly (string | { text: string; own: string })[],
): (Role | undefined)[] {
  const roles = heads.map((head) =>
    typeof head === 'string' ? roleOfHead(head) : (roleOfHead(head.text) ?? roleOfHead(head.own)),
  );
  const has = (...some: Role[]): boolean => some.some((role) => roles.includes(role));
  const isFault =
    has('cause', 'remedy') ||
    (has('code', 'fault-name') && !has('range', 'default', 'min', 'default-50', 'choices'));
  const numbered = has('number');
  const first = (role: Role): number => roles.indexOf(role);
  return roles.map((role, i) => {
    // "Message | Description | Cause": what is called the fault's name is its code.
    const nameIsCode = !has('code', 'number') && roles[0] === 'fault-name';
    if (isFault) {
      if (nameIsCode && i === 0) return 'code';
      if (nameIsCode && role === 'name') return 'fault-name';
      if (role === 'number') return has('code') ? 'other' : 'code';
      if (role === 'name') return has('fault-name') ? 'other' : 'fault-name';
      if (role === 'code' && i !== first('code'))
        return has('fault-name') || has('name') ? 'other' : 'fault-name';
      return role === 'range' || role === 'choices' ? 'other' : role;
    }
    if (role === 'code') return numbered ? 'other' : 'number';
    if (role === 'fault-name') return 'other';
    // "Parameter | Name": the first is the number; "No. | Parameter": the second is the name.
    if (role === 'number' && i !== first('number')) return has('name') ? 'other' : 'name';
    if (role === 'name' && i !== first('name')) return has('choices') ? 'other' : 'choice-name';
    if (role === 'range' && i !== first('range')) return has('choices') ? 'other' : 'choices';
    return role;
  });
}
