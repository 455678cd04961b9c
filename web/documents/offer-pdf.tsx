import { methodRow } from '../../core/methods/index.js';
import { Image, Text, View } from '@react-pdf/renderer';
import type { Offer, OfferWay } from '../../core/offer/offer.js';
import { sayRisk } from '../../core/offer/say-risk.js';
import { sayRange, sayUnseen } from '../../core/offer/say-unseen.js';
import { schoolWords } from '../../core/job/school-words.js';
import { longDay, feet, money, videoTime } from '../controls/format';
import { Cells, colours, inFont, Paper, styles } from './paper';

/** The offer on paper. `photos` are pictures by name, as data addresses. */
export function OfferDocument({ offer, photos }: { offer: Offer; photos: ReadonlyMap<string, string> }) {
  const cash = (amount: number) => money(amount, offer.currency, 2);
  const row = (title: string, answers: readonly (readonly string[])[]) => (
    <View key={title} style={styles.row} wrap={false}>
      <Text style={{ ...styles.soft, width: 72 }}>{title}</Text>
      {answers.map((answer, i) => (
        <View key={i} style={{ flexGrow: 1, flexBasis: 0, paddingRight: 8 }}>
          {answer.map((each, n) => (
            <Text key={n} style={{ marginBottom: 1.5 }}>
              {inFont(each)}
            </Text>
          ))}
        </View>
      ))}
    </View>
  );
  const of = (say: (way: OfferWay) => readonly string[]) =>
    offer.ways.map((way) => (way.feasible ? say(way) : ['–']));
  return (
    <Paper title="Offer" from={offer.firm} of={offer.title}>
      <Text style={styles.h1}>{inFont(offer.title)}</Text>
      <Text style={{ ...styles.soft, marginBottom: 8 }}>
        {[
          offer.customer && `For ${offer.customer}`,
          offer.address,
          `offered on ${longDay(offer.on)}`,
          `prices hold to ${longDay(offer.validTo)}`,
        ]
          .filter(Boolean)
          .join(', ')}
      </Text>
      <View style={{ flexDirection: 'row' }}>
        <View style={{ width: 72 }} />
        {offer.ways.map((way) => (
          <View key={way.school} style={{ flexGrow: 1, flexBasis: 0, paddingRight: 8, paddingBottom: 4 }}>
            <Text style={{ ...styles.h2, marginTop: 0, marginBottom: 0 }}>
              {schoolWords[way.school].name}
            </Text>
            <Text style={styles.soft}>{schoolWords[way.school].means}</Text>
          </View>
        ))}
      </View>
      <View style={styles.row} wrap={false}>
        <Text style={{ ...styles.soft, width: 72 }}>On the line</Text>
        {offer.ways.map((way) => (
          <View key={way.school} style={{ flexGrow: 1, flexBasis: 0, paddingRight: 8 }}>
            {offer.lines.map((line) => (
              <View key={line.id} style={{ flexDirection: 'row', height: 9, marginVertical: 1.5 }}>
                {(way.bars[line.id] ?? []).map((bar, i) => (
                  <View
                    key={i}
                    style={{
                      flexGrow: bar.to_ft - bar.from_ft,
                      flexBasis: 0,
                      backgroundColor: colours[methodRow(bar.method).drawing.fill] ?? '#999',
                    }}
                  />
                ))}
              </View>
            ))}
          </View>
        ))}
      </View>
      {row(
        'We do',
        of(({ does, notPossible }) => [...does, ...notPossible]),
      )}
      {row(
        'Excavations',
        of(({ holes }) => (holes.length === 0 ? ['none'] : holes)),
      )}
      {row(
        'How long',
        of(({ days = [] }) => (days.length === 0 ? ['–'] : days)),
      )}
      {row(
        'Price',
        of(({ total, conditions }) => [cash(total), ...conditions]),
      )}
      {row(
        'Each year after',
        of(({ eachYear }) =>
          eachYear.length === 0
            ? ['nothing planned']
            : eachYear.map(({ what, costs }) => `${cash(costs)}: ${what}`),
        ),
      )}
      {row(
        `Over ${offer.horizon_years} years`,
        of(({ overYears, carried }) => [
          `${cash(overYears)}, of it ${cash(carried)} expected for upkeep and what is likely to fail`,
        ]),
      )}
      {row(
        'Leaves undone',
        of(({ leaves }) =>
          leaves.length === 0
            ? ['nothing that was found']
            : leaves.map((each) => {
                const risk = sayRisk(each, offer.horizon_years, (amount) => money(amount, offer.currency));
                return `${each.what}, at ${feet(each.at_ft)} ft${risk ? ` (${risk})` : ''}`;
              }),
        ),
      )}
      {row(
        'Not seen',
        of((way) => [sayRange(way, offer, cash)]),
      )}
      {offer.firstStep && (
        <View style={styles.caution} wrap={false}>
          <Text style={styles.bold}>
            First: {offer.firstStep.what}, {feet(offer.firstStep.from_ft)} to {feet(offer.firstStep.to_ft)}{' '}
            ft, {cash(offer.firstStep.price)}
          </Text>
          <Text>because {inFont(offer.firstStep.why)}; until then the prices above are a range.</Text>
        </View>
      )}
      {said('Not inspected', sayUnseen(offer))}
      {said(
        'For others',
        offer.referrals.map(
          ({ what, at_ft, to }) => `${what}, at ${feet(at_ft)} ft: reported to the ${to}, not priced`,
        ),
      )}
      {said('Not in any price', offer.exclusions)}
      {offer.ways.some(({ options }) => options.length > 0) && (
        <>
          <Text style={styles.h2}>While we are here</Text>
          {offer.ways.flatMap((way) =>
            way.options.map((option) => (
              <Cells
                key={`${way.school} ${option.line} ${option.finding}`}
                cells={[schoolWords[way.school].name, option.what, `+${cash(option.adds)}`]}
                shares={[2, 5, 1.4]}
                right={[2]}
              />
            )),
          )}
        </>
      )}
      {offer.ways
        .filter(({ feasible }) => feasible)
        .map((way) => (
          <View key={way.school}>
            <Text style={styles.h2} minPresenceAhead={40}>
              {schoolWords[way.school].name}: what the price is made of
            </Text>
            {way.priceLines.map((line, i) => (
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
            <Cells cells={['Price', '', cash(way.total)]} shares={[5, 2.4, 1.4]} right={[1, 2]} bold />
          </View>
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
