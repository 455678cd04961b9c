import { Box } from '@chakra-ui/react';
import type { ComponentProps } from 'react';
import { Field, Label } from './controls';

interface Props extends Omit<ComponentProps<typeof Field>, 'onChange'> {
  readonly id: string;
  readonly label: string;
  readonly onChange: (value: string) => void;
}

/** A field under its label, by the type of its value. */
export const LabeledField = ({ label, id, onChange, flex, minWidth, mt, ...field }: Props) => (
  <Box {...{ flex, minWidth, mt }}>
    <Label htmlFor={id}>{label}</Label>
    <Field
      id={id}
      {...field}
      onChange={({ target }) => {
        onChange(target.value);
      }}
    />
  </Box>
);
