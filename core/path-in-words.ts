/** What a list of the job file holds, one at a time. */
const oneOf: Readonly<Record<string, string>> = {
  ...{ lines: 'line', runs: 'run', entries: 'entry', points: 'point', pins: 'pin', cleanings: 'cleaning' },
  ...{
    surfaces: 'surface',
    owners: 'owner',
    noDig: 'no-dig stretch',
    crossings: 'crossing',
    depths: 'depth',
  },
  ...{ marks: 'mark', places: 'taped place', markDistances: 'distance between marks', videos: 'video' },
};

/** A path in the job file as a person would put it: `lines[0].cleanings[1].to_ft` is "cleaning 2, to, ft". */
export const pathInWords = (path: string): string =>
  path
    .split('.')
    .flatMap((step) => {
      const [, name = '', at] = /^(\w+)(?:\[(\d+)\])?/.exec(step) ?? [];
      if (name === 'lines' && at === '0') return [];
      const said =
        oneOf[name] ??
        name
          .replace(/_(?=(?:ft|in|lb|s)$)/, ', ')
          .replaceAll('_', ' ')
          .replace(/(?<=[a-z])[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
      return [at === undefined ? said : `${said} ${Number(at) + 1}`];
    })
    .join(', ');
