import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import { useState, type ChangeEvent, type ReactNode, type SubmitEvent } from 'react';
import * as z from 'zod';
import { materialWords } from '../../core/catalog/materials.js';
import { materials, soils } from '../../core/job/vocabulary.js';
import { useAddJob } from '../api/job-list';
import { Choice, Field, Label, Press } from '../controls/controls';
import { typedFeet } from '../controls/feet-field';
import { today } from '../controls/today';
import { Faults } from '../shell/faults';
import { newJob } from './new-job';
import { Alarm, Note, Title } from '../controls/text';

const mostRiser_ft = 30;

const formSchema = z.object({
  title: z.string().trim().min(1, 'Give the job a name, such as its street address'),
  customer: z.string().trim(),
  reason: z.enum(['backup', 'purchase', 'follow-up', 'planned']),
  zero: z.enum(['cap', 'pipe', 'unknown']),
  riser: z
    .string()
    .trim()
    .refine(
      (text) => !typedFeet(text).wrong && (typedFeet(text).feet ?? 0) <= mostRiser_ft,
      `Feet from cap to level pipe, such as 1.7 or 1'8", at most ${mostRiser_ft}; leave it empty if nobody measured it`,
    ),
  material: z.enum(materials),
  diameter: z.enum(['3', '4', '6', '8']),
  soil: z.enum(soils),
});
type FieldName = keyof z.infer<typeof formSchema>;

const blank: Readonly<Record<FieldName, string>> = {
  title: '',
  customer: '',
  reason: 'backup',
  zero: 'cap',
  riser: '',
  material: 'clay',
  diameter: '4',
  soil: 'unknown',
};

const choices: Partial<Record<FieldName, readonly (readonly [value: string, words: string])[]>> = {
  reason: [
    ['backup', 'backup'],
    ['purchase', 'purchase'],
    ['follow-up', 'follow-up'],
    ['planned', 'planned work'],
  ],
  zero: [
    ['cap', 'at the cap'],
    ['pipe', 'in the level pipe'],
    ['unknown', 'nobody knows'],
  ],
  material: materials.map((each) => [each, materialWords(each)]),
  diameter: ['3', '4', '6', '8'].map((each) => [each, each]),
  soil: soils.map((each) => [each, each === 'unknown' ? 'unknown: C assumed' : each]),
};

const labels: Readonly<Record<FieldName, string>> = {
  title: 'Name or address',
  customer: 'Customer',
  reason: 'Why we came',
  zero: 'Counter zeroed',
  riser: 'Cap to level pipe, ft',
  material: 'Pipe, where no change says otherwise',
  diameter: 'Diameter, in',
  soil: 'Soil class, from the competent person',
};
const fieldNames = Object.keys(labels) as FieldName[];

const Form = chakra('form');

interface Props {
  /** Called with the job's id. */
  readonly onMade: (id: string) => void;
  readonly onCancel: () => void;
}

/** The minimum needed before readings mean anything: the access point and where the counter was zeroed. */
export function NewJobForm({ onMade, onCancel }: Props) {
  const add = useAddJob();
  const [values, setValues] = useState(blank);
  const [faults, setFaults] = useState<Partial<Record<string, string[]>>>({});
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    const parsed = formSchema.safeParse(values);
    setFaults(parsed.success ? {} : z.flattenError(parsed.error).fieldErrors);
    if (!parsed.success) return;
    const { riser, diameter, ...said } = parsed.data;
    const asked = {
      ...said,
      riser_ft: typedFeet(riser).feet,
      diameter_in: Number(diameter),
    };
    add.mutate(newJob(asked, today()), { onSuccess: onMade });
  };
  return (
    <Form onSubmit={submit} bg="sheet" border="1.5px solid" borderColor="ink" p="5" mb="6" noValidate>
      <Title size="section" mb="4">
        New job
      </Title>
      {add.error && <Faults error={add.error} />}
      <Grid templateColumns={{ base: '1fr', sm: '1fr 1fr', lg: 'repeat(4, 1fr)' }} gap="4" mb="5">
        {fieldNames.map((name) => (
          <Asked
            key={name}
            name={name}
            value={values[name]}
            fault={faults[name]?.[0]}
            onChange={(value) => {
              setValues((known) => ({ ...known, [name]: value }));
            }}
          />
        ))}
      </Grid>
      <Flex gap="3" wrap="wrap" align="center">
        <Press look="signal" type="submit" disabled={add.isPending}>
          Start the camera log
        </Press>
        <Press look="quiet" type="button" onClick={onCancel}>
          Cancel
        </Press>
        <Note size="small" flex="1" minWidth="240px">
          Utilities are located before anyone digs; local code, the competent person at the trench and
          licensed practice come before anything shown here.
        </Note>
      </Flex>
    </Form>
  );
}

interface AskedProps {
  readonly name: FieldName;
  readonly value: string;
  readonly fault: string | undefined;
  readonly onChange: (value: string) => void;
}

function Asked({ name, value, fault, onChange }: AskedProps) {
  const own = {
    id: name,
    value,
    onChange: (event: ChangeEvent<HTMLInputElement | HTMLSelectElement>) => {
      onChange(event.target.value);
    },
    'aria-invalid': fault ? true : undefined,
  };
  const options = choices[name];
  return (
    <Box gridColumn={name === 'title' ? { sm: 'span 2' } : undefined}>
      <Label htmlFor={name}>{labels[name]}</Label>
      {options ? (
        <Choice {...own}>{options.map(asOption)}</Choice>
      ) : name === 'riser' ? (
        <Field {...own} inputMode="decimal" placeholder="not measured" />
      ) : (
        <Field {...own} autoFocus={name === 'title'} />
      )}
      {fault && (
        <Alarm role="alert" fontSize="14px" mt="1">
          {fault}
        </Alarm>
      )}
    </Box>
  );
}

const asOption = ([value, words]: readonly [string, string]): ReactNode => (
  <option key={value} value={value}>
    {words}
  </option>
);
