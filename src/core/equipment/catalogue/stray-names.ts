import { choicesOf } from '../concepts';
import type { Control, MenuItem, Parameter } from './control-shape';
import type { Operation } from './keypad-shape';

type Path = (string | number)[];
interface Stray {
  path: Path;
  message: string;
}

/** Names that occur twice where they must not. */
function twice(names: readonly { name: string; path: Path }[]): Stray[] {
  const seen = new Set<string>();
  return names.flatMap(({ name, path }) => {
    if (!seen.has(name)) {
      seen.add(name);
      return [];
    }
    return [{ path, message: `${name} is duplicated` }];
  });
}

function strayChoices({ concept, choices }: Parameter, path: Path): Stray[] {
  const neutral = concept === undefined ? [] : choicesOf(concept);
  if (neutral.length > 0 && choices === undefined)
    return [{ path: [...path, 'choices'], message: `${concept} needs choices: ${neutral.join(', ')}` }];
  return (choices ?? []).flatMap(({ means }, k) =>
    means === undefined || neutral.includes(means)
      ? []
      : [
          {
            path: [...path, 'choices', k, 'means'],
            message: `“${means}” is not a choice of ${concept ?? 'a parameter without a concept'}: ${neutral.join(', ')}`,
          },
        ],
  );
}

/** Touches of keys that are not there, and menus deeper than the keypad can show. */
function strayTouches(operation: Operation | undefined, menu: readonly MenuItem[], path: Path): Stray[] {
  if (operation === undefined) return [];
  const caps = new Set(operation.caps.flat());
  const { home, groups, list, value, jump, run, stop } = operation;
  const parts = { home, groups: groups ?? {}, list, value, jump: jump ?? {}, keys: { run, stop } };
  const unknown = Object.entries(parts).flatMap(([part, touches]) =>
    Object.entries(touches).flatMap(([does, touch]) =>
      touch === undefined || caps.has(touch.cap)
        ? []
        : [{ path: [...path, part, does], message: `no key ${touch.cap}` }],
    ),
  );
  const deep = menu.flatMap((item, i) =>
    item.menus === undefined
      ? []
      : [{ path: ['keypad', 'menu', i], message: 'nested groups cannot be entered' }],
  );
  const flat =
    groups === null && menu.length > 1
      ? [{ path: ['keypad', 'menu'], message: 'a keypad without groups has one list' }]
      : [];
  return [...unknown, ...deep, ...flat];
}

/** What a schema of shapes cannot see: names that must exist, and names that must not recur. */
export function strayNames({ parameters, options, alarms, keypad }: Control): Stray[] {
  const numbers = new Set(parameters.map((p) => p.number));
  const missing = (number: string, path: Path): Stray[] =>
    numbers.has(number) ? [] : [{ path, message: `no parameter ${number}` }];
  const ofParameters = parameters.flatMap((p, i) => {
    const path = ['parameters', i];
    const { needs, resets } = p;
    return [
      ...strayChoices(p, path),
      ...(Array.isArray(resets) ? resets.flatMap((n, k) => missing(n, [...path, 'resets', k])) : []),
      ...(needs === undefined
        ? []
        : 'number' in needs
          ? missing(needs.number, [...path, 'needs', 'number'])
          : options.some((o) => o.id === needs.option)
            ? []
            : [{ path: [...path, 'needs', 'option'], message: `no option ${needs.option}` }]),
    ];
  });
  const ofMenu = (items: readonly MenuItem[], path: Path): Stray[] =>
    items.flatMap((item, i) => [
      ...(item.parameters ?? []).flatMap((n, k) => missing(n, [...path, i, 'parameters', k])),
      ...ofMenu(item.menus ?? [], [...path, i, 'menus']),
    ]);
  return [
    ...twice(parameters.map((p, i) => ({ name: `number ${p.number}`, path: ['parameters', i, 'number'] }))),
    ...twice(
      parameters.flatMap((p, i) =>
        p.register === undefined
          ? []
          : [{ name: `register ${p.register}`, path: ['parameters', i, 'register'] }],
      ),
    ),
    ...twice(
      parameters.flatMap((p, i) =>
        p.concept === undefined ? [] : [{ name: `concept ${p.concept}`, path: ['parameters', i, 'concept'] }],
      ),
    ),
    ...twice(alarms.map((a, i) => ({ name: `fault ${a.code}`, path: ['alarms', i, 'code'] }))),
    ...twice(
      alarms.flatMap((a, i) =>
        a.value === undefined ? [] : [{ name: `fault number ${a.value}`, path: ['alarms', i, 'value'] }],
      ),
    ),
    ...ofParameters,
    ...ofMenu(keypad.menu, ['keypad', 'menu']),
    ...strayTouches(keypad.operation, keypad.menu, ['keypad', 'operation']),
  ];
}
