import { useId, type ComponentProps } from 'react';
import { measureWords, typedNumber } from '../../core/speech/typed-number.js';
import { LabeledField } from './labeled-field';
import { Alarm } from './text';

/** Value of a feet field: empty, a number of feet, or text that is not a length of 0 or more. */
export function typedFeet(text: string): { readonly feet: number | undefined; readonly wrong: boolean } {
  if (text.trim() === '') return { feet: undefined, wrong: false };
  const feet = typedNumber(text, 'feet');
  return feet !== undefined && feet >= 0 ? { feet, wrong: false } : { feet: undefined, wrong: true };
}

interface Props extends Omit<ComponentProps<typeof LabeledField>, 'value'> {
  readonly value: string;
}

/** A form field for feet as people write them, such as 5'6" or 5 1/2; unreadable input is reported below it. */
export function FeetField({ value, ...field }: Props) {
  const says = useId();
  const { wrong } = typedFeet(value);
  return (
    <div>
      <LabeledField
        {...field}
        value={value}
        inputMode="text"
        aria-invalid={wrong ? true : undefined}
        aria-describedby={wrong ? says : undefined}
      />
      {wrong && (
        <Alarm id={says} role="alert" fontSize="13px" mt="1">
          Cannot be read: {measureWords.feet}, not below 0
        </Alarm>
      )}
    </div>
  );
}
