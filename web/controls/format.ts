/** Creating a formatter takes milliseconds, the first of a page fifty; only a few are needed. */
const moneyFormats = new Map<string, Intl.NumberFormat>();

/** Money for display: whole, with cents where they matter. */
export function money(amount: number, currency: string, digits = 0): string {
  if (currency === 'USD') return dollars(amount, digits);
  const key = `${currency} ${digits}`;
  let known = moneyFormats.get(key);
  if (!known) {
    const fraction = { minimumFractionDigits: digits, maximumFractionDigits: digits };
    known = new Intl.NumberFormat('en-US', {
      style: 'currency',
      currency,
      signDisplay: 'negative',
      ...fraction,
    });
    moneyFormats.set(key, known);
  }
  return known.format(amount);
}

/** As `Intl.NumberFormat` writes them, without its data, which would be read before a sheet shows its total. */
function dollars(amount: number, digits: number): string {
  const [whole = '', cents] = Math.abs(amount).toFixed(digits).split('.');
  const grouped = whole.replace(/\B(?=(\d{3})+$)/g, ',');
  const text = cents === undefined ? grouped : `${grouped}.${cents}`;
  return amount < 0 && /[1-9]/.test(text) ? `-$${text}` : `$${text}`;
}

export const feet = (value: number, digits = 1): string => {
  const text = value.toFixed(digits);
  return text === '-0.0' ? '0.0' : text.replace('-', '−');
};

const time = { hour: 'numeric', minute: '2-digit' } as const;
/** Made when first asked for: the first of a page takes tens of milliseconds. */
let clockFormat: Intl.DateTimeFormat | undefined;
let momentFormat: Intl.DateTimeFormat | undefined;

/** A moment, of the job file or in ms, in local time; with plain spaces in every browser. Days are `core/days`. */
const written = (format: Intl.DateTimeFormat, at: string | number): string =>
  format.format(new Date(at)).replaceAll('\u202f', ' ');

/** `Mar 4, 2026, 3:05 PM`. */
export function dayAndTime(iso: string): string {
  momentFormat ??= new Intl.DateTimeFormat('en-US', {
    month: 'short',
    day: 'numeric',
    year: 'numeric',
    ...time,
  });
  return written(momentFormat, iso);
}

/** `3:05 PM`. */
export function clockTime(at: string | number): string {
  clockFormat ??= new Intl.DateTimeFormat('en-US', time);
  return written(clockFormat, at);
}

export const videoTime = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;

export const verdictWords: Record<string, string> = {
  blocked: 'Blocked',
  urgent: 'Urgent',
  repair: 'Repair',
  clean: 'Clean',
  serviceable: 'Serviceable',
  incomplete: 'Incomplete',
};
