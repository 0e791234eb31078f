import { choicesOf } from '../concepts';
import type { Control, MenuItem, Parameter } from './control-shape';

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
    return [{ path, message: `${name} is there twice` }];
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
            message: `“${means}” is no choice of ${concept ?? 'a parameter without a concept'}: ${neutral.join(', ')}`,
          },
        ],
  );
}

/** What a schema of shapes cannot see: names that must exist, and names that must not recur. */
export function strayNames({ parameters, options, alarms, keypad }: Control): Stray[] {
  const numbers = new Set(parameters.map((p) => p.number));
  const missing = (number: string, path: Path): Stray[] =>
    numbers.has(number) ? [] : [{ path, message: `there is no parameter ${number}` }];
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
            : [{ path: [...path, 'needs', 'option'], message: `there is no option ${needs.option}` }]),
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
      parameters.map((p, i) => ({ name: `register ${p.register}`, path: ['parameters', i, 'register'] })),
    ),
    ...twice(
      parameters.flatMap((p, i) =>
        p.concept === undefined ? [] : [{ name: `concept ${p.concept}`, path: ['parameters', i, 'concept'] }],
      ),
    ),
    ...twice(alarms.map((a, i) => ({ name: `alarm ${a.code}`, path: ['alarms', i, 'code'] }))),
    ...twice(alarms.map((a, i) => ({ name: `alarm number ${a.value}`, path: ['alarms', i, 'value'] }))),
    ...ofParameters,
    ...ofMenu(keypad.menu, ['keypad', 'menu']),
  ];
}
