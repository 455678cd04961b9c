import { Box, chakra, Flex, Grid, Heading, Text } from '@chakra-ui/react';
import { zodResolver } from '@hookform/resolvers/zod';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { materials, soils } from '../../core/job/vocabulary.js';
import type { StoredJob } from '../../server/store.js';
import { useAddJob } from '../api/jobs';
import { Choice, Field, Label, Press } from '../shell/controls';
import { Faults } from '../shell/trouble';
import { newJob } from './new-job';
import { materialWords } from '../../core/catalog/materials.js';

const formSchema = z.object({
  title: z.string().trim().min(1, 'Give the job a name, such as its street address'),
  customer: z.string().trim(),
  reason: z.enum(['backup', 'purchase', 'follow-up', 'planned']),
  zero: z.enum(['cap', 'pipe', 'unknown']),
  riser: z
    .string()
    .trim()
    .refine(
      (text) => text === '' || (Number(text) >= 0 && Number(text) <= 30),
      'Feet from cap to level pipe, such as 1.7; leave it empty if nobody measured it',
    ),
  material: z.enum(materials),
  diameter: z.enum(['3', '4', '6', '8']),
  soil: z.enum(soils),
});
type FormValues = z.infer<typeof formSchema>;

const Form = chakra('form');

/** The least that must be known before readings mean anything: where the camera goes in and where it was zeroed. */
export function NewJobForm({
  onMade,
  onCancel,
}: {
  onMade: (stored: StoredJob) => void;
  onCancel: () => void;
}) {
  const add = useAddJob();
  const { register, handleSubmit, formState } = useForm<FormValues>({
    resolver: zodResolver(formSchema),
    defaultValues: {
      title: '',
      customer: '',
      reason: 'backup',
      zero: 'cap',
      riser: '',
      material: 'clay',
      diameter: '4',
      soil: 'unknown',
    },
  });
  const submit = handleSubmit(async ({ riser, diameter, ...said }) => {
    const job = newJob(
      { ...said, riser_ft: riser === '' ? undefined : Number(riser), diameter_in: Number(diameter) },
      format(new Date(), 'yyyy-MM-dd'),
    );
    onMade(await add.mutateAsync(job));
  });
  const fault = (name: keyof FormValues) => formState.errors[name]?.message;
  return (
    <Form
      onSubmit={(event) => void submit(event).catch(() => undefined)}
      bg="sheet"
      border="1.5px solid"
      borderColor="ink"
      p="5"
      mb="6"
      noValidate
    >
      <Heading as="h2" fontSize="20px" mb="4">
        New job
      </Heading>
      {add.error && <Faults error={add.error} />}
      <Grid templateColumns={{ base: '1fr', sm: '1fr 1fr', lg: 'repeat(4, 1fr)' }} gap="4" mb="5">
        <Ask label="Name or address" name="title" fault={fault('title')} wide>
          <Field
            id="title"
            autoFocus
            aria-invalid={fault('title') ? true : undefined}
            {...register('title')}
          />
        </Ask>
        <Ask label="Customer" name="customer">
          <Field id="customer" {...register('customer')} />
        </Ask>
        <Ask label="Why we came" name="reason">
          <Choice id="reason" {...register('reason')}>
            <option value="backup">backup</option>
            <option value="purchase">purchase</option>
            <option value="follow-up">follow-up</option>
            <option value="planned">planned work</option>
          </Choice>
        </Ask>
        <Ask label="Counter zeroed" name="zero">
          <Choice id="zero" {...register('zero')}>
            <option value="cap">at the cap</option>
            <option value="pipe">in the level pipe</option>
            <option value="unknown">nobody knows</option>
          </Choice>
        </Ask>
        <Ask label="Cap to level pipe, ft" name="riser" fault={fault('riser')}>
          <Field
            id="riser"
            inputMode="decimal"
            placeholder="not measured"
            aria-invalid={fault('riser') ? true : undefined}
            {...register('riser')}
          />
        </Ask>
        <Ask label="Pipe, where no change says otherwise" name="material">
          <Choice id="material" {...register('material')}>
            {materials.map((each) => (
              <option key={each} value={each}>
                {materialWords(each)}
              </option>
            ))}
          </Choice>
        </Ask>
        <Ask label="Bore, in" name="diameter">
          <Choice id="diameter" {...register('diameter')}>
            {['3', '4', '6', '8'].map((each) => (
              <option key={each}>{each}</option>
            ))}
          </Choice>
        </Ask>
        <Ask label="Soil, as the competent person says" name="soil">
          <Choice id="soil" {...register('soil')}>
            {soils.map((each) => (
              <option key={each} value={each}>
                {each === 'unknown' ? 'not known: taken as C' : each}
              </option>
            ))}
          </Choice>
        </Ask>
      </Grid>
      <Flex gap="3" wrap="wrap" align="center">
        <Press look="signal" type="submit" disabled={formState.isSubmitting}>
          Start the camera log
        </Press>
        <Press look="quiet" type="button" onClick={onCancel}>
          Cancel
        </Press>
        <Text color="soft" fontSize="14px" flex="1" minWidth="240px">
          Utilities are located before anyone digs; local code, the competent person at the trench and
          licensed practice come before anything shown here.
        </Text>
      </Flex>
    </Form>
  );
}

function Ask({
  label,
  name,
  fault,
  wide,
  children,
}: {
  label: string;
  name: string;
  fault?: string | undefined;
  wide?: boolean;
  children: ReactNode;
}) {
  return (
    <Box gridColumn={wide ? { sm: 'span 2' } : undefined}>
      <Label htmlFor={name}>{label}</Label>
      {children}
      {fault && (
        <Text role="alert" color="signalInk" fontSize="14px" mt="1">
          {fault}
        </Text>
      )}
    </Box>
  );
}
