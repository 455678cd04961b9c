import { Box, Flex } from '@chakra-ui/react';
import { useId, useState } from 'react';
import { measureWords, numberInField, typedNumber, type Measure } from '../../core/speech/typed-number.js';
import { Choice, Field, LongField } from '../controls/controls';
import { Alarm } from '../controls/text';

/** Text that is taken on blur or Enter and reset on Escape; invalid text is not taken. */
function useTyped(
  kept: string,
  take: (typed: string) => void,
  isWrong: (typed: string) => boolean = () => false,
) {
  const [typed, setTyped] = useState<string>();
  const text = typed ?? kept;
  const wrong = isWrong(text);
  const leave = () => {
    if (typed === undefined || wrong) return;
    setTyped(undefined);
    take(typed);
  };
  const props = {
    value: text,
    onChange: (event: React.ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => {
      setTyped(event.target.value);
    },
    onBlur: leave,
    onKeyDown: (event: React.KeyboardEvent) => {
      // In a longer text Enter is a new line.
      if (event.key === 'Enter' && !(event.target instanceof HTMLTextAreaElement)) leave();
      if (event.key === 'Escape') setTyped(undefined);
    },
  };
  return { props, wrong };
}

/** A number that is taken on blur or Enter; invalid input is reported and changes nothing. */
export function NumberCell({
  label,
  value,
  onChange,
  measure = 'number',
  least = -10_000,
  placeholder = '',
}: {
  label: string;
  value: number | undefined;
  onChange: (value: number | undefined) => void;
  measure?: Measure;
  least?: number;
  /** The value in force while the field is empty, as stored. */
  placeholder?: string;
}) {
  const read = (typed: string) => typedNumber(typed, measure);
  const { props, wrong } = useTyped(
    numberInField(value, measure),
    (typed) => {
      const next = typed.trim() === '' ? undefined : read(typed);
      if (next !== value) onChange(next);
    },
    (typed) => typed.trim() !== '' && !((read(typed) ?? Number.NEGATIVE_INFINITY) >= least),
  );
  const says = useId();
  const beneath = placeholder === '' ? Number.NaN : Number(placeholder);
  return (
    <Box minWidth={{ base: '52px', md: '74px' }}>
      <Field
        aria-label={label}
        aria-invalid={wrong ? true : undefined}
        aria-describedby={wrong ? says : undefined}
        title={label}
        inputMode={measure === 'feet' ? 'text' : 'decimal'}
        width="100%"
        placeholder={Number.isNaN(beneath) ? placeholder : numberInField(beneath, measure)}
        {...props}
      />
      {wrong && (
        <Alarm id={says} role="alert" fontSize="13px" lineHeight="1.2" mt="1">
          Not taken: {measureWords[measure]}
          {least >= 0 ? `, not below ${numberInField(least, measure)}` : ''}
        </Alarm>
      )}
    </Box>
  );
}

export function TextCell({
  label,
  value,
  onChange,
  placeholder,
  accepts,
}: {
  label: string;
  value: string | undefined;
  onChange: (value: string | undefined) => void;
  placeholder?: string;
  /** Input must match this; otherwise it is marked and not taken. */
  accepts?: RegExp;
}) {
  const { props, wrong } = useTyped(
    value ?? '',
    (typed) => {
      const next = typed.trim() === '' ? undefined : typed.trim();
      if (next !== value) onChange(next);
    },
    (typed) => typed.trim() !== '' && accepts !== undefined && !accepts.test(typed.trim()),
  );
  return (
    <Field
      aria-label={label}
      aria-invalid={wrong ? true : undefined}
      title={label}
      minWidth="110px"
      placeholder={placeholder}
      {...props}
    />
  );
}

/** A longer text, taken on blur. */
export function LongCell({
  label,
  value,
  onChange,
  placeholder,
}: {
  label: string;
  value: string | undefined;
  onChange: (value: string | undefined) => void;
  placeholder?: string;
}) {
  const { props } = useTyped(value ?? '', (typed) => {
    const next = typed.trim() === '' ? undefined : typed.trim();
    if (next !== value) onChange(next);
  });
  return <LongField aria-label={label} rows={2} fieldSizing="content" placeholder={placeholder} {...props} />;
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T | undefined;
  readonly options: readonly (T | readonly [T, string])[];
}
/** Where nothing may be chosen, `empty` is the name for that. */
type ChoiceCellProps<T extends string> = ChoiceProps<T> &
  (
    | { readonly empty: string; readonly onChange: (value: T | undefined) => void }
    | { readonly empty?: undefined; readonly onChange: (value: T) => void }
  );

export function ChoiceCell<T extends string>(props: ChoiceCellProps<T>) {
  const { label, value, options, empty } = props;
  return (
    <Choice
      aria-label={label}
      minWidth="110px"
      value={value ?? ''}
      onChange={({ target: { value: chosen } }) => {
        if (chosen !== '') props.onChange(chosen as T);
        else if (props.empty !== undefined) props.onChange(undefined);
      }}
    >
      {empty !== undefined && <option value="">{empty}</option>}
      {options.map((option) => {
        const [word, text] = typeof option === 'string' ? [option, option.replaceAll('-', ' ')] : option;
        return (
          <option key={word} value={word}>
            {text}
          </option>
        );
      })}
    </Choice>
  );
}

/** An end of a stretch: feet, or a thing that it moves with. */
export function EndCell({
  label,
  feet,
  thing,
  things,
  onChange,
}: {
  label: string;
  feet: number;
  thing: string | undefined;
  things: readonly { readonly id: string; readonly name: string }[];
  onChange: (to: { feet: number } | { thing: string }) => void;
}) {
  const held = things.find(({ id }) => id === thing);
  return (
    <Flex gap="1">
      {thing === undefined && (
        <NumberCell
          label={`${label}, ft`}
          measure="feet"
          value={feet}
          onChange={(value) => {
            if (value !== undefined) onChange({ feet: value });
          }}
        />
      )}
      <ChoiceCell
        label={`${label} measured from`}
        value={thing ?? 'feet'}
        options={[
          ['feet', 'ft'] as const,
          ...things.map(({ id, name }) => [id, `at ${name}`] as const),
          ...(thing !== undefined && !held ? [[thing, `at ${thing}`] as const] : []),
        ]}
        onChange={(value) => {
          onChange(value === 'feet' ? { feet } : { thing: value });
        }}
      />
    </Flex>
  );
}
