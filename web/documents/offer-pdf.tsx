import { methodRow } from '../../core/methods/index.js';
import { Image, Text, View } from '@react-pdf/renderer';
import type { Offer, OfferApproach } from '../../core/offer/offer.js';
import { sayRisk } from '../../core/offer/say-risk.js';
import { notKnownYet, sayRange, sayUnseen } from '../../core/offer/say-unseen.js';
import { schoolWords } from '../../core/job/school-words.js';
import { sayDay } from '../../core/days.js';
import { feet, money, videoTime } from '../controls/format';
import { Cells, colors, inFont, Paper, styles } from './paper';

/** The offer on paper. `photos` are pictures by name, as data addresses. */
export function OfferDocument({ offer, photos }: { offer: Offer; photos: ReadonlyMap<string, string> }) {
  return (
    <Paper title="Offer" from={offer.firm} of={offer.title}>
      <Text style={styles.h1}>{inFont(offer.title)}</Text>
      <Text style={{ ...styles.soft, marginBottom: 8 }}>
        {[
          offer.customer && `For ${offer.customer}`,
          offer.address,
          `offered on ${sayDay(offer.on)}`,
          `prices hold to ${sayDay(offer.validTo)}`,
        ]
          .filter(Boolean)
          .join(', ')}
      </Text>
      <Heads offer={offer} />
      <Bars offer={offer} />
      {answersOf(offer).map(([title, say]) => (
        <Answers
          key={title}
          title={title}
          answers={offer.ways.map((approach) => (approach.feasible ? say(approach) : ['–']))}
        />
      ))}
      {offer.firstStep && <First step={offer.firstStep} cash={cashOf(offer)} />}
      {said('Not inspected', sayUnseen(offer))}
      {said(
        'For others',
        offer.referrals.map(
          ({ what, at_ft, to }) => `${what}, at ${feet(at_ft)} ft: reported to the ${to}, not priced`,
        ),
      )}
      {said('Not in any price', offer.exclusions)}
      <WhileHere offer={offer} />
      {offer.ways
        .filter(({ feasible }) => feasible && !offer.nothingSeen)
        .map((approach) => (
          <MadeOf key={approach.school} approach={approach} cash={cashOf(offer)} />
        ))}
      {offer.proof.length > 0 && <ProofPart offer={offer} photos={photos} />}
      {offer.terms && (
        <View wrap={false}>
          <Text style={styles.h2}>Terms</Text>
          <Text>{inFont(offer.terms)}</Text>
        </View>
      )}
    </Paper>
  );
}

type Cash = (amount: number) => string;
const cashOf =
  ({ currency }: Offer): Cash =>
  (amount) =>
    money(amount, currency, 2);

/** The heading of a row, and its value for each option. */
const answersOf = (
  offer: Offer,
): readonly (readonly [string, (approach: OfferApproach) => readonly string[]])[] => {
  const cash = cashOf(offer);
  // A line that nobody has seen has no price.
  const onceSeen = (says: (approach: OfferApproach) => readonly string[]) =>
    offer.nothingSeen ? () => [notKnownYet] : says;
  return [
    ['We do', ({ does, notPossible }) => [...does, ...notPossible]],
    ['Excavations', ({ holes }) => (holes.length === 0 ? ['none'] : holes)],
    ['How long', ({ days = [] }) => (days.length === 0 ? ['–'] : days)],
    ['Price', onceSeen(({ total, conditions }) => [cash(total), ...conditions])],
    [
      'Each year after',
      onceSeen(({ eachYear }) =>
        eachYear.length === 0
          ? ['nothing planned']
          : eachYear.map(({ what, costs }) => `${cash(costs)}: ${what}`),
      ),
    ],
    [
      `Over ${offer.horizon_years} years`,
      onceSeen(({ overYears, carried }) => [
        `${cash(overYears)}, of it ${cash(carried)} expected for upkeep and what is likely to fail`,
      ]),
    ],
    [
      'Leaves undone',
      onceSeen(({ leaves }) =>
        leaves.length === 0 ? ['nothing that was found'] : leaves.map(leftOn(offer)),
      ),
    ],
    ['Not seen', (approach) => [sayRange(approach, offer, cash)]],
  ];
};

const leftOn =
  ({ horizon_years, currency }: Offer) =>
  (each: OfferApproach['leaves'][number]): string => {
    const risk = sayRisk(each, horizon_years, (amount) => money(amount, currency));
    return `${each.what}, at ${feet(each.at_ft)} ft${risk ? ` (${risk})` : ''}`;
  };

const column = { flexGrow: 1, flexBasis: 0, paddingRight: 8 } as const;

function Answers({ title, answers }: { title: string; answers: readonly (readonly string[])[] }) {
  return (
    <View style={styles.row} wrap={false}>
      <Text style={{ ...styles.soft, width: 72 }}>{title}</Text>
      {answers.map((answer, i) => (
        <View key={i} style={column}>
          {answer.map((each, n) => (
            <Text key={n} style={{ marginBottom: 1.5 }}>
              {inFont(each)}
            </Text>
          ))}
        </View>
      ))}
    </View>
  );
}

const Heads = ({ offer }: { offer: Offer }) => (
  <View style={{ flexDirection: 'row' }}>
    <View style={{ width: 72 }} />
    {offer.ways.map((approach) => (
      <View key={approach.school} style={{ ...column, paddingBottom: 4 }}>
        <Text style={{ ...styles.h2, marginTop: 0, marginBottom: 0 }}>
          {schoolWords[approach.school].name}
        </Text>
        <Text style={styles.soft}>{schoolWords[approach.school].means}</Text>
      </View>
    ))}
  </View>
);

/** The work of each option, drawn along the lines. */
const Bars = ({ offer }: { offer: Offer }) => (
  <View style={styles.row} wrap={false}>
    <Text style={{ ...styles.soft, width: 72 }}>On the line</Text>
    {offer.ways.map((approach) => (
      <View key={approach.school} style={column}>
        {offer.lines.map((line) => (
          <View key={line.id} style={{ flexDirection: 'row', height: 9, marginVertical: 1.5 }}>
            {(approach.bars[line.id] ?? []).map((bar, i) => (
              <View
                key={i}
                style={{
                  flexGrow: bar.to_ft - bar.from_ft,
                  flexBasis: 0,
                  backgroundColor: colors[methodRow(bar.method).drawing.fill] ?? '#999',
                }}
              />
            ))}
          </View>
        ))}
      </View>
    ))}
  </View>
);

const First = ({ step, cash }: { step: NonNullable<Offer['firstStep']>; cash: Cash }) => (
  <View style={styles.caution} wrap={false}>
    <Text style={styles.bold}>
      First: {step.what}, {feet(step.from_ft)} to {feet(step.to_ft)} ft, {cash(step.price)}
    </Text>
    <Text>because {inFont(step.why)}; until then the prices above are a range.</Text>
  </View>
);

function WhileHere({ offer }: { offer: Offer }) {
  const cash = cashOf(offer);
  if (offer.ways.every(({ options }) => options.length === 0)) return null;
  return (
    <>
      <Text style={styles.h2}>While we are here</Text>
      {offer.ways.flatMap((approach) =>
        approach.options.map((option) => (
          <Cells
            key={`${approach.school} ${option.line} ${option.finding}`}
            cells={[schoolWords[approach.school].name, option.what, `+${cash(option.adds)}`]}
            shares={[2, 5, 1.4]}
            right={[2]}
          />
        )),
      )}
    </>
  );
}

const MadeOf = ({ approach, cash }: { approach: OfferApproach; cash: Cash }) => (
  <View>
    <Text style={styles.h2} minPresenceAhead={40}>
      {schoolWords[approach.school].name}: what the price is made of
    </Text>
    {approach.priceLines.map((line, i) => (
      <Cells
        key={i}
        cells={[
          line.what,
          `${Number(line.quantity.toFixed(2))} ${line.unit} at ${line.rate}`,
          cash(line.amount),
        ]}
        shares={[5, 2.4, 1.4]}
        right={[1, 2]}
      />
    ))}
    <Cells cells={['Price', '', cash(approach.total)]} shares={[5, 2.4, 1.4]} right={[1, 2]} bold />
  </View>
);

const said = (title: string, all: readonly string[]) =>
  all.length > 0 && (
    <View style={styles.row} wrap={false}>
      <Text style={{ ...styles.soft, width: 72 }}>{title}</Text>
      <Text style={{ flexGrow: 1, flexBasis: 0 }}>{inFont(all.join('; '))}</Text>
    </View>
  );

export function ProofPart({
  offer,
  photos,
}: {
  offer: Pick<Offer, 'proof'>;
  photos: ReadonlyMap<string, string>;
}) {
  return (
    <View>
      <Text style={styles.h2} minPresenceAhead={130}>
        What proves it
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
        {offer.proof.map((each) => {
          const picture = each.photos.map((name) => photos.get(name)).find((found) => found !== undefined);
          return (
            <View
              key={`${each.line} ${each.finding}`}
              style={{ width: '33%', paddingRight: 8, paddingBottom: 8 }}
              wrap={false}
            >
              {picture !== undefined && (
                <Image src={picture} style={{ height: 90, objectFit: 'cover', marginBottom: 2 }} />
              )}
              <Text>
                {inFont(each.what)}, {feet(each.at_ft)} ft
              </Text>
              {each.video && (
                <Text style={styles.soft}>
                  {each.video.name} at {videoTime(each.video.at_s)}
                </Text>
              )}
            </View>
          );
        })}
      </View>
    </View>
  );
}
