import { Box } from '@chakra-ui/react';
import { useMemo } from 'react';
import type { JobState } from '@/core/logbook';
import type { Control } from '@/core/equipment/catalogue';
import { auditSet, type AuditFinding, type UnitSet } from '@/core/parameter-sets/parameters';
import { Choice, optionsOf } from '../../../kit/field';
import { StateMark, type Mark } from '../../../kit/state-mark';
import { Disclosure } from '../../../kit/why';
import { Text } from '../../../kit/text';

const marks: Readonly<Record<AuditFinding['severity'], Mark>> = {
  wrong: 'failed',
  doubt: 'doubt',
  info: 'unprobed',
};
const words: Readonly<Record<AuditFinding['severity'], string>> = {
  wrong: 'wrong',
  doubt: 'doubt',
  info: 'note',
};

/** Everything that is wrong or doubtful about a set, the worst first. */
export function AuditView({
  set,
  state,
  otherMotors_ohm,
  jumper,
}: {
  set: UnitSet & { control: Pick<Control, 'analogInputs'> };
  state: JobState;
  /** Stator resistances of other machines' sets; null: the server was not heard. */
  otherMotors_ohm: readonly number[] | null;
  /** Says where the jumper of an analog input stands. */
  jumper: (input: 'AI1' | 'AI2', position: 'V' | 'mA') => void;
}) {
  const { motor, startUp } = state;
  const { shortest, jumpers } = startUp;
  const audit = useMemo(
    () =>
      auditSet(set, {
        plate: motor?.plate,
        choices: startUp.chosen?.choices,
        carrier_kHz: startUp.place?.carrier_kHz,
        jumpers,
        ...(shortest === null ? {} : { shortest }),
        ...(otherMotors_ohm === null ? {} : { otherMotors_ohm }),
      }),
    [set, motor, startUp.chosen, startUp.place, jumpers, shortest, otherMotors_ohm],
  );
  const jumpered = set.control.analogInputs.filter((a) => a.jumper !== undefined);
  return (
    <>
      <Text role="status" fontWeight="500" mb="2">
        {audit.findings.length === 0 ? 'No findings.' : `${audit.findings.length} found.`}
      </Text>
      <Box as="ul" aria-label="Findings" listStyleType="none">
        {audit.findings.map((f) => (
          <Box as="li" key={f.rule} borderBottom="1px solid" borderColor="line" py="2">
            <Text>
              <StateMark mark={marks[f.severity]} label={null} />{' '}
              <Text as="b" color={f.severity === 'info' ? 'soft' : marks[f.severity]}>
                {words[f.severity]}
              </Text>{' '}
              {f.text}{' '}
              <Text as="span" fontFamily="mono" color="soft">
                {f.numbers.join(' ')}
              </Text>
            </Text>
            <Disclosure>{f.sum}. Common practice, no source.</Disclosure>
          </Box>
        ))}
      </Box>
      {jumpered.map(({ id, mark, jumper: where }) => (
        <Box key={id} mt="3">
          <Choice
            label={`Jumper of ${mark}: ${where ?? ''}`}
            value={jumpers[id] ?? null}
            onChange={(position) => jumper(id, position)}
            options={optionsOf({ V: 'volts', mA: 'current' })}
          />
        </Box>
      ))}
      {audit.notJudged.length > 0 && (
        <Box mt="3">
          <Disclosure label={`${audit.notJudged.length} not judged`}>
            A value or something about the machine is missing:{' '}
            {audit.notJudged.map((n) => n.about).join(', ')}.
          </Disclosure>
        </Box>
      )}
    </>
  );
}
