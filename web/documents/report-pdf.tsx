import { Text, View } from '@react-pdf/renderer';
import { gradeWords } from '../../core/job/vocabulary.js';
import { sayWhat, sayClock } from '../../core/speech/say.js';
import type { Firm } from '../../core/job/firm.js';
import type { Job } from '../../core/job/schema.js';
import { summedLength } from '../../core/line/intervals.js';
import type { Proof } from '../../core/offer/proof.js';
import type { ScopedView } from '../../core/views/job-view.js';
import { sayDay } from '../../core/days.js';
import { feet, verdictWords, videoTime } from '../controls/format';
import { ProofPart } from './offer-pdf';
import { Cells, inFont, Paper, styles } from './paper';
import { materialWords } from '../../core/catalog/materials.js';
import type { FindingView, LineView } from '../../core/views/line-view.js';

/** The inspection report: what was found where, how certain it is, what was not seen or inspected, and the proof. */
export function ReportDocument({
  job,
  firm,
  view,
  proof,
  photos,
}: {
  job: Job;
  firm: Firm;
  view: ScopedView;
  proof: readonly Proof[];
  photos: ReadonlyMap<string, string>;
}) {
  const { verdict } = view.scope;
  return (
    <Paper title="Inspection report" from={firm} of={job.title}>
      <Text style={styles.h1}>{inFont(job.title)}</Text>
      <Text style={styles.soft}>
        {inFont(
          [
            job.site?.address,
            job.site?.customer && `for ${job.site.customer}`,
            job.inspectedOn && `inspected on ${sayDay(job.inspectedOn)}`,
          ]
            .filter(Boolean)
            .join(', '),
        )}
      </Text>
      <Text style={{ ...styles.h2, fontSize: 15 }}>
        Verdict: {verdict.map((each) => verdictWords[each] ?? each).join(', ')}
      </Text>
      {job.site?.complaint && <Text>What was said: {inFont(job.site.complaint)}</Text>}
      {view.lines.map((line) => (
        <LinePart key={line.id} line={line} job={job} />
      ))}
      {(job.site?.notLookedAt?.length ?? 0) > 0 && (
        <>
          <Text style={styles.h2}>Not inspected</Text>
          <Text>{inFont((job.site?.notLookedAt ?? []).join('; '))}</Text>
        </>
      )}
      {view.scope.lines.some(({ referrals }) => referrals.length > 0) && (
        <>
          <Text style={styles.h2}>For others</Text>
          {view.scope.lines.flatMap(({ id, referrals }) =>
            referrals.map(({ what, at_ft, to }) => (
              <Cells
                key={`${id} ${at_ft} ${what}`}
                shares={[5, 1, 2]}
                cells={[what, `${feet(at_ft)} ft`, to]}
              />
            )),
          )}
        </>
      )}
      {proof.length > 0 && <ProofPart offer={{ proof }} photos={photos} />}
    </Paper>
  );
}

function LinePart({ line, job }: { line: LineView; job: Job }) {
  const length = line.known.to_ft - line.known.from_ft;
  const unseen = summedLength(line.notSeen);
  const serves = job.lines.find(({ id }) => id === line.id)?.serves ?? [];
  return (
    <View>
      <Text style={styles.h2}>
        {inFont(line.name)}: {feet(length)} ft,{' '}
        {line.nothingSeen ? 'nothing seen yet' : unseen > 0.05 ? `${feet(unseen)} ft not seen` : 'all seen'}
        {line.endReached ? '' : ', the end not reached'}
      </Text>
      <Text>
        {line.pipes
          .map(
            ({ from_ft, to_ft, material, diameter_in }) =>
              `${diameter_in} in ${materialWords(material)} from ${feet(from_ft)} to ${feet(to_ft)} ft`,
          )
          .join('; ')}
        .
      </Text>
      {serves.length > 0 && (
        <Text>
          {inFont(
            `Drains here: ${serves.map(({ what, here }) => `${what} (${here === 'unknown' ? 'not proved' : here})`).join(', ')}.`,
          )}
        </Text>
      )}
      <Findings line={line} />
      {line.notSeen.length > 0 && (
        <View style={styles.caution} wrap={false}>
          <Text style={styles.bold}>
            Not seen:{' '}
            {line.notSeen.map(({ from_ft, to_ft }) => `${feet(from_ft)} to ${feet(to_ft)} ft`).join(', ')}.
          </Text>
          <Text>
            This report does not cover pipe that was not seen, the ground around it, or the branches.
          </Text>
        </View>
      )}
    </View>
  );
}

/** Every finding from the house on, with its time in the video. */
function Findings({ line }: { line: LineView }) {
  const shares = [0.9, 0.8, 4.4, 0.9, 1.7];
  const findings = [...line.findings].sort((a, b) => a.from_ft - b.from_ft);
  return (
    <View style={{ marginTop: 6 }}>
      <Cells
        bold
        shares={shares}
        right={[0, 1]}
        cells={['Station, ft', '±', 'Found', 'Grade', 'In the video']}
      />
      {findings.map((finding) => (
        <Cells
          key={finding.id}
          shares={shares}
          right={[0, 1]}
          cells={[
            finding.to_ft - finding.from_ft > 0.05
              ? `${feet(finding.from_ft)}–${feet(finding.to_ft)}`
              : feet(finding.from_ft),
            finding.plusMinus_ft.toFixed(1),
            foundWords(finding),
            gradeWords[finding.grade],
            finding.entry.video_s === undefined ? '' : videoTime(finding.entry.video_s),
          ]}
        />
      ))}
      {findings.length === 0 && <Text>Nothing was found.</Text>}
    </View>
  );
}

/** The finding, its clock position, and who graded it. */
function foundWords({ entry, clock, settled, grade, tableGrade }: FindingView): string {
  const { judged } = entry;
  return [
    sayWhat({ ...entry, clock: undefined }),
    clock === undefined ? '' : `${sayClock(clock)}, looking downstream`,
    settled ? 'cleaned since' : '',
    judged ? `judged ${gradeWords[grade]} (table: ${gradeWords[tableGrade]}): ${judged.why}` : '',
  ]
    .filter(Boolean)
    .join(', ');
}
