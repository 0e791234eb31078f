import type { Make, TrueParameter } from './makes';

// How manuals lay out what they say: each of these prints a make as one page after the other of HTML.

const escape = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');

const page = (style: string, body: string): string =>
  `<!doctype html><html lang="en"><meta charset="utf-8"><style>
  @page { size: A4; margin: 16mm 14mm }
  body { font: 10px/1.3 'Liberation Sans', Arial, sans-serif; margin: 0 }
  h1 { font-size: 18px } h2 { font-size: 13px; margin: 14px 0 6px } table { border-collapse: collapse; width: 100% }
  ${style}</style><body>${body}</body></html>`;

const decimals = (n: number): number => (String(n).split('.')[1] ?? '').length;
const defaultText = (d: TrueParameter['default']): string =>
  typeof d === 'number' ? String(d) : `${d['50Hz']} / ${d['60Hz']}`;
/** The defaults for 50 and 60 Hz; one that is the same for both, twice. */
const regionDefaults = (d: TrueParameter['default']): readonly [number, number] =>
  typeof d === 'number' ? [d, d] : [d['50Hz'], d['60Hz']];
const rangeText = (p: TrueParameter, between: string): string => {
  const most = Math.max(decimals(p.min), decimals(p.max));
  return `${p.min.toFixed(most)}${between}${p.max.toFixed(most)}`;
};
const inGroups = (make: Make): Map<string, TrueParameter[]> => {
  const groups = new Map<string, TrueParameter[]>();
  for (const p of make.parameters) groups.set(p.group, [...(groups.get(p.group) ?? []), p]);
  return groups;
};
const row = (cells: readonly string[], tag = 'td'): string =>
  `<tr>${cells.map((c) => `<${tag}>${c}</${tag}>`).join('')}</tr>`;

/** Fault tables come after the parameters, with or without a rule around them. */
const faults = (make: Make, heads: readonly [string, string, string, string]): string =>
  `<h2>Fault messages</h2><table><thead>${row(heads, 'th')}</thead>${make.alarms
    .map((a) => row([a.code, a.name, a.cause, a.remedy].map(escape)))
    .join('')}</table>`;

/** Ruled table, cells centred upright, narrow: texts wrap; the unit has a column; choices line by line. */
function ruled(make: Make): string {
  const body = [...inGroups(make)].map(
    ([group, list]) =>
      `<h2>${escape(group)}</h2><table><thead>${row(['No.', 'Name', 'Setting range', 'Unit', 'Factory setting', 'Address'], 'th')}</thead>${list
        .map((p) =>
          row([
            p.number,
            escape(p.name),
            p.choices.length > 0
              ? p.choices.map((c) => `${c.value}: ${escape(c.name)}`).join('<br>')
              : rangeText(p, ' to '),
            p.unit ?? '–',
            defaultText(p.default),
            String(p.register),
          ]),
        )
        .join('')}</table>`,
  );
  return page(
    'td,th{border:1px solid #444;padding:3px 5px} td:nth-child(2){width:24%} td:nth-child(3){width:30%}',
    `<h1>${make.name} – Parameter list</h1>${body.join('')}${faults(make, ['Code', 'Fault', 'Possible cause', 'Remedy'])}`,
  );
}

/** No rules, top aligned, one long table with group rows, a default for each mains; choices in one line. */
function plain(make: Make): string {
  const body = [...inGroups(make)].map(
    ([group, list]) =>
      `<tr class="g"><td colspan="5">${escape(group)}</td></tr>` +
      list
        .map((p) => {
          const [a, b] = regionDefaults(p.default);
          return row([
            p.number,
            escape(p.name),
            p.choices.length > 0
              ? p.choices.map((c) => `${c.value} = ${escape(c.name)}`).join('; ')
              : `${rangeText(p, '…')}${p.unit === null ? '' : ` ${p.unit}`}`,
            String(a),
            String(b),
          ]);
        })
        .join(''),
  );
  return page(
    'td,th{padding:2px 6px;vertical-align:top;text-align:left} .g td{font-weight:bold;padding-top:8px} tr:nth-child(even){background:#eee} td:nth-child(3){width:40%}',
    `<h1>${make.name}</h1><p>All parameters can be changed at standstill. Those marked in the text can be changed in operation, too.</p><table><thead>${row(['Code', 'Description', 'Range / options', '50 Hz', '60 Hz'], 'th')}</thead>${body.join('')}</table>${faults(make, ['Display', 'Meaning', 'Cause', 'What to do'])}`,
  );
}

/** Paragraphs: a heading with number and name, labelled fields, choices as a list. */
function paragraphs(make: Make): string {
  const body = [...inGroups(make)].map(
    ([group, list]) =>
      `<h2>${escape(group)}</h2>` +
      list
        .map(
          (p) =>
            `<div class="p"><b>${p.number} &nbsp; ${escape(p.name)}</b><div>Range: ${
              p.choices.length > 0
                ? rangeText(p, ' – ')
                : `${rangeText(p, ' – ')}${p.unit === null ? '' : ` ${p.unit}`}`
            } &nbsp;&nbsp;&nbsp; Default: ${defaultText(p.default)} &nbsp;&nbsp;&nbsp; Register: ${p.register}</div>${
              p.choices.length > 0
                ? p.choices.map((c) => `<div>${c.value} = ${escape(c.name)}</div>`).join('')
                : '<div class="t">The value is taken over when it is confirmed. Observe the limits of the machine.</div>'
            }</div>`,
        )
        .join(''),
  );
  return page(
    '.p{margin:7px 0;break-inside:avoid}',
    `<h1>${make.name} – Description of parameters</h1>${body.join('')}${faults(make, ['Fault code', 'Fault name', 'Causes', 'Corrective action'])}`,
  );
}

/** Two columns to a page, each with its small tables. */
function twoColumns(make: Make): string {
  const body = [...inGroups(make)].map(
    ([group, list]) =>
      `<h2>${escape(group)}</h2><table><thead>${row(['Par.', 'Function', 'Values', 'Default'], 'th')}</thead>${list
        .map((p) =>
          row([
            p.number,
            escape(p.name),
            p.choices.length > 0
              ? p.choices.map((c) => `[${c.value}] ${escape(c.name)}`).join('<br>')
              : `${rangeText(p, ' .. ')}${p.unit === null ? '' : ` ${p.unit}`}`,
            `${defaultText(p.default)}`,
          ]),
        )
        .join('')}</table>`,
  );
  return page(
    'main{columns:2;column-gap:10mm} td,th{border-bottom:1px solid #999;padding:2px 3px;vertical-align:top;text-align:left;font-size:8px}',
    `<h1>${make.name}</h1><main>${body.join('')}</main>${faults(make, ['Error', 'Error name', 'Cause', 'Measures'])}`,
  );
}

/** Least and most in columns of their own, the unit in brackets after the name, remarks at the end; wrapped heads. */
function limits(make: Make): string {
  const body = [...inGroups(make)].map(
    ([group, list]) =>
      `<h2>${escape(group)}</h2><table><thead>${row(['Function<br>code', 'Parameter name', 'Minimum<br>value', 'Maximum<br>value', 'Initial<br>value', 'Selection', 'Remarks'], 'th')}</thead>${list
        .map((p) =>
          row([
            p.number,
            escape(p.name) + (p.unit === null ? '' : ` (${p.unit})`),
            String(p.min),
            String(p.max),
            defaultText(p.default),
            p.choices.map((c) => `${c.value} – ${escape(c.name)}`).join('<br>'),
            p.register % 3 === 0 ? 'Change at standstill only' : '',
          ]),
        )
        .join('')}</table>`,
  );
  return page(
    'td,th{border:1px solid #888;padding:2px 4px;font-size:9px} td:nth-child(7){width:15%;color:#555}',
    `<h1>Reference: ${make.name}</h1>${body.join('')}${faults(make, ['Alarm no.', 'Alarm', 'Probable cause', 'Countermeasure'])}`,
  );
}

/** Choices in two columns of their own: value and meaning, one row each. */
function choiceRows(make: Make): string {
  const body = [...inGroups(make)].map(
    ([group, list]) =>
      `<h2>${escape(group)}</h2><table><thead>${row(['Parameter', 'Name', 'Setting', 'Meaning', 'Unit', 'Default'], 'th')}</thead>${list
        .map((p) =>
          p.choices.length === 0
            ? row([p.number, escape(p.name), rangeText(p, ' ~ '), '', p.unit ?? '', defaultText(p.default)])
            : p.choices
                .map((c, i) =>
                  i === 0
                    ? `<tr><td rowspan="${p.choices.length}">${p.number}</td><td rowspan="${p.choices.length}">${escape(p.name)}</td><td>${c.value}</td><td>${escape(c.name)}</td><td rowspan="${p.choices.length}"></td><td rowspan="${p.choices.length}">${defaultText(p.default)}</td></tr>`
                    : row([String(c.value), escape(c.name)]),
                )
                .join(''),
        )
        .join('')}</table>`,
  );
  return page(
    'td,th{border:1px solid #aaa;padding:2px 5px;vertical-align:top;text-align:left}',
    `<h1>${make.name} parameters</h1>${body.join('')}${faults(make, ['Trip code', 'Type of fault', 'Reason', 'Solution'])}`,
  );
}

/** Heads over two columns, all centred, small letters, across the page. */
function overHeads(make: Make): string {
  const body = [...inGroups(make)].map(
    ([group, list]) =>
      `<h2>${escape(group)}</h2><table><thead><tr><th rowspan="2">Index</th><th rowspan="2">Designation</th><th colspan="2">Limits</th><th rowspan="2">Unit</th><th colspan="2">Ex works</th><th rowspan="2">Options</th></tr><tr><th>Min.</th><th>Max.</th><th>50 Hz</th><th>60 Hz</th></tr></thead>${list
        .map((p) => {
          const [a, b] = regionDefaults(p.default);
          return row([
            p.number,
            escape(p.name),
            String(p.min),
            String(p.max),
            p.unit ?? '',
            String(a),
            String(b),
            p.choices.map((c) => `${c.value}: ${escape(c.name)}`).join(', '),
          ]);
        })
        .join('')}</table>`,
  );
  return page(
    '@page{size:A4 landscape} td,th{border:1px solid #777;padding:2px 4px;font-size:8.5px;text-align:center} td:nth-child(8){width:34%;text-align:left}',
    `<h1>${make.name}</h1>${body.join('')}${faults(make, ['Message', 'Description', 'Probable causes', 'Remedies'])}`,
  );
}

/** Each parameter its own little box: number and name above, what can be set below, labels in a column. */
function boxes(make: Make): string {
  const pair = (label: string, value: string): string => `<tr><td>${label}</td><td>${value}</td></tr>`;
  const body = [...inGroups(make)].map(
    ([group, list]) =>
      `<h2>${escape(group)}</h2>` +
      list
        .map(
          (p) =>
            `<div class="p"><h3>${p.number} ${escape(p.name)}</h3><table>${
              p.choices.length > 0
                ? pair('Selection', p.choices.map((c) => `${c.value}: ${escape(c.name)}`).join('<br>'))
                : pair('Setting range', `${rangeText(p, ' ... ')}${p.unit === null ? '' : ` ${p.unit}`}`)
            }${pair('Factory setting', defaultText(p.default))}${pair('Register', String(p.register))}</table></div>`,
        )
        .join(''),
  );
  return page(
    'main{columns:2;column-gap:9mm} .p{break-inside:avoid;margin:0 0 7px;border-top:1px solid #999} h3{font-size:10px;margin:3px 0} td{padding:1px 4px;vertical-align:top} td:first-child{width:32%;color:#444}',
    `<h1>${make.name}</h1><main>${body.join('')}</main>${faults(make, ['Code', 'Fault', 'Possible causes', 'Corrective measures'])}`,
  );
}

/** The layouts of manuals by name. */
export const layouts: Readonly<Record<string, (make: Make) => string>> = {
  ruled,
  plain,
  paragraphs,
  twoColumns,
  limits,
  choiceRows,
  overHeads,
  boxes,
};
