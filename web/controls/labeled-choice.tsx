import { Box } from '@chakra-ui/react';
import { Choice, Label } from './controls';

interface Props<T extends string> {
  readonly id: string;
  readonly label: string;
  readonly value: T;
  /** The choices, each with its text. */
  readonly among: readonly (readonly [T, string])[];
  readonly onChoose: (value: T) => void;
}

/** A choice under its label. */
export const LabeledChoice = <T extends string>({ id, label, value, among, onChoose }: Props<T>) => (
  <Box>
    <Label htmlFor={id}>{label}</Label>
    <Choice
      id={id}
      value={value}
      onChange={(event) => {
        onChoose(event.target.value as T);
      }}
    >
      {among.map(([each, words]) => (
        <option key={each} value={each}>
          {words}
        </option>
      ))}
    </Choice>
  </Box>
);
