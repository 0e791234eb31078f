import { Box } from '@chakra-ui/react';
import * as z from 'zod';
import {
  againstAgreement,
  timeTextOf,
  type EntryOf,
  type OpenIssue,
  type Payload,
  type Person,
} from '@/core/logbook';
import { inShort } from '@/core/job/release';
import { SignButton } from '../../panels/sign-button';
import { FileLink } from '../../kit/file-link';
import { FieldGrid, Section } from '../../kit/section';
import { Field } from '../../kit/field';
import { filledText } from '../../kit/form-figures';
import { useTypedForm } from '../../kit/typed-form';
import { StateMark } from '../../kit/state-mark';
import { Tick } from '../../kit/tick';
import { day, dateTime } from '../../kit/time';
import { Text } from '../../kit/text';

type MayRun = NonNullable<Payload<'startup.signed'>['mayRun']>;

function Papers({ jobId }: { jobId: string }) {
  return (
    <Box display="flex" gap="2" flexWrap="wrap" mt="3">
      {(['pdf', 'csv'] as const).map((form) => (
        <FileLink key={form} href={`/api/v1/jobs/${jobId}/start-up?form=${form}`}>
          {form.toUpperCase()}
        </FileLink>
      ))}
    </Box>
  );
}

/** Every open issue is named, there is a day that is not past, and somebody else than the signer agreed. */
const mayRunSchema = (today: string, issues: readonly OpenIssue[], signer: Person) =>
  z
    .object({
      named: z
        .array(z.string())
        .refine((named) => issues.every((m) => named.includes(m.id)), 'Confirm each issue'),
      until: z.iso.date('Choose a day').refine((day) => day >= today, 'Today or later'),
      approver: filledText('Enter who agrees').refine(
        (name) => againstAgreement(signer, name) === null,
        'Must be another person than the signer',
      ),
      office: filledText('Enter their function'),
    })
    .transform(({ until, approver, office }): MayRun => ({
      until,
      approver: `${approver}, ${office}`,
      open: issues.map(({ id, text }) => ({ id, text })),
    }));
const nothingAgreed: z.input<ReturnType<typeof mayRunSchema>> = {
  named: [],
  until: '',
  approver: '',
  office: '',
};

/** The open issues, each named by a tick; a day and a name for it. */
function MayRunForm({
  person,
  issues,
  sign,
}: {
  person: Person;
  issues: readonly OpenIssue[];
  /** The button that signs with these. */
  sign: (mayRun: MayRun | null) => React.ReactNode;
}) {
  const today = new Date().toISOString().slice(0, 10);
  const schema = mayRunSchema(today, issues, person);
  const { typed, read, text, set } = useTypedForm('may run', schema, nothingAgreed);
  const { named, until } = typed;
  return (
    <Box as="section" aria-label="May run until" bg="paper" px="4" py="3" my="2">
      <Text fontWeight="600">Release with open issues, each confirmed, until a date:</Text>
      <Box mb="3">
        {issues.map((m) => (
          <Tick
            key={m.id}
            label={m.text}
            checked={named.includes(m.id)}
            onChange={(on) => set('named', on ? [...named, m.id] : named.filter((n) => n !== m.id))}
          />
        ))}
      </Box>
      <FieldGrid min="200px">
        <Field
          label="May run until"
          type="date"
          min={today}
          hint={until === '' ? undefined : day(until)}
          {...text('until')}
        />
        <Field label="Agreed with" maxLength={90} {...text('approver')} />
        <Field label="Function" maxLength={90} {...text('office')} />
      </FieldGrid>
      {sign(read)}
    </Box>
  );
}

/** What stands against the sheet, and the signature. */
export function Signing({
  jobId,
  person,
  issues,
  signed,
  waiting,
  readBack,
  sign,
}: {
  jobId: string;
  person: Person;
  issues: readonly OpenIssue[];
  signed: EntryOf<'startup.signed'> | null;
  waiting: boolean;
  /** Was the drive read over the link? */
  readBack: boolean;
  sign: (mayRun: MayRun | null) => void;
}) {
  const never = issues.filter((m) => !m.mayWait);
  const waits = issues.filter((m) => m.mayWait);
  const mayRun = signed?.payload.mayRun;
  const line = (m: OpenIssue) => (
    <Text key={m.id} color={m.mayWait ? 'doubt' : 'failed'} fontWeight="500" mb="1">
      <StateMark mark={m.mayWait ? 'doubt' : 'failed'} label={m.mayWait ? 'open' : 'held'} /> {m.text}
    </Text>
  );
  return (
    <Section title="Signing">
      {!readBack && (
        <Text mb="2">
          Nothing was read back: read out over the link, otherwise the sheet states that values were entered
          by hand.
        </Text>
      )}
      {signed !== null ? (
        <>
          <Text mb="2">
            Signed by {signed.by.name}, {dateTime(timeTextOf(signed))}. Any change removes the signature.
          </Text>
          {mayRun !== undefined && (
            <>
              <Text fontWeight="600" color="doubt">
                May run until {day(mayRun.until)}, agreed with {mayRun.approver}, as {signed.by.name} states,
                with:
              </Text>
              {mayRun.open.map((o) => (
                <Text key={o.id}>– {o.text}</Text>
              ))}
            </>
          )}
        </>
      ) : (
        <>
          {never.length > 0 && inShort(issues).map(line)}
          {never.length === 0 && waits.length > 0 ? (
            <MayRunForm
              person={person}
              issues={waits}
              sign={(with_) => (
                <SignButton
                  person={person}
                  waiting={waiting}
                  held={with_ === null}
                  sign={() => sign(with_)}
                />
              )}
            />
          ) : (
            <SignButton person={person} waiting={waiting} held={never.length > 0} sign={() => sign(null)} />
          )}
        </>
      )}
      <Papers jobId={jobId} />
    </Section>
  );
}
