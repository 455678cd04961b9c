import { findingRegistry, isInInches, namesOf } from '../findings/kinds.js';
import { rewriteAll, type Idiom, type TracedText } from '../idioms/traced-text.js';
import { inchesEnd } from '../number-words.js';
import { toFeet } from './numbers.js';

/** Farther along than any depth or size, ft. */
const far = String.raw`(?<![\d.,/:'′-])(?:1[3-9]|[2-9]\d|\d{3})`;

/** What is measured in inches: "31 3/4 offset" is asked. */
const namesInches = new RegExp(
  String.raw`\b(?:water|${findingRegistry.rows.filter(isInInches).flatMap(namesOf).join('|')})`,
  'i',
);
const saysInches = /\d\s*-?(?:in\b|inch|")|\binch/i;

const inFeet = (said: string): string => `${toFeet(said)}`;

/** "40'6"": one or two inches may be a size beside it. */
const feetAndInches: Idiom = [
  new RegExp(String.raw`(${far})['’′]-?([3-9]|1[01])${inchesEnd}`, 'g'),
  ([, feet = '', inches = '']) => inFeet(`${feet}'${inches}"`),
];
/** "gap 48 ft 1/2 in": no counter shows fractions of an inch, so they are its size. */
const sizeApart: Idiom = [
  new RegExp(
    String.raw`(${far})\s*(?:feet|foot|ft\b\.?|['’′])\s*((?:[1-3][\s-]+)?\d\/\d{1,2}|[0-3]?\.\d+)\s*-?(?=in\b|inch|["”″])`,
    'g',
  ),
  ([, feet = '', inches = '']) => `${feet} ft, ${inches} `,
];
/** "45 1/2", "45½"; not "22 1/2 bend", "40 1/2 full", "40 1/2 in". */
const mixed: Idiom = [
  new RegExp(
    String.raw`(${far})(?:\s+([13]\/[24])|\s*([½¼¾]))(?!\d|\/|\s*-?\s*(?:in\b(?!\s+the\b)|inch|["”″]|bend|deg|°|quarter|half|full|way|blocked|closed|plugged|of\b|the\b|up\b|pipe\s+(?:full|of)\b))`,
    'g',
  ),
  ([, whole = '', part, sign]) => inFeet(`${whole} ${part ?? sign ?? ''}`),
];

// Lists that stay the same: what each idiom needs is looked up by its list.
const places = [feetAndInches, mixed];
const placesBesideSizes = [sizeApart, ...places];
/** Without the inches said elsewhere, a half may be the size. */
const placesOrSizes = [feetAndInches];

/** "40'6"", "45 1/2", "45½": a place as one number of feet, so that whatever reads a place reads these. */
export function writtenPlaces(heard: TracedText): TracedText {
  // "45 bend 22'6"": feet tell the place from the degrees.
  if (/\b(?:bends?|elbow|ell|sweep|turns?)\b/i.test(heard.text)) return heard;
  if (!namesInches.test(heard.text)) return rewriteAll(heard, places);
  return rewriteAll(heard, saysInches.test(heard.text) ? placesBesideSizes : placesOrSizes);
}
