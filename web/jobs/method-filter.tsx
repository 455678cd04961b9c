import { methods, type Method } from '../../core/job/vocabulary.js';
import { methodName } from '../../core/methods/index.js';
import { Choice, Label } from '../controls/controls';

const sought = methods.filter((method) => method !== 'leave');

interface MethodFilterProps {
  readonly value: Method | undefined;
  readonly onChange: (method: Method | undefined) => void;
}

/** Only jobs whose scope has a method. */
export const MethodFilter = ({ value, onChange }: MethodFilterProps) => (
  <>
    <Label htmlFor="find-method">Method</Label>
    <Choice
      id="find-method"
      value={value ?? ''}
      onChange={(event) => {
        onChange((event.target.value || undefined) as Method | undefined);
      }}
    >
      <option value="">any</option>
      {sought.map((method) => (
        <option key={method} value={method}>
          {methodName(method)}
        </option>
      ))}
    </Choice>
  </>
);
