import { PinPart } from '../reason/pin-part';
import { ReasonPanel } from '../reason/reason-panel';
import { ownRules } from '../rules/own-rules';
import type { SheetFocus } from './sheet-view';

/** The reason for the selected bar or finding, and what can be pinned there. */
export function ReasonsPart({ desk: { known, hand, finding, at } }: { desk: SheetFocus }) {
  const { line, lineView, complete, job, inForce, firm } = known;
  const { split } = hand;
  return (
    <ReasonPanel
      bar={hand.bars.find(({ key }) => key === hand.selected?.key) ?? hand.selected}
      finding={finding}
      lineView={lineView}
      lineScope={hand.lineScope}
      scope={hand.scope}
      complete={complete}
      job={inForce}
      line={line}
      ownRules={ownRules(job, firm)}
    >
      <PinPart
        bar={hand.selected}
        pins={lineView.pins}
        methods={hand.scope.methods}
        onMethod={hand.doHere}
        onJoin={hand.join}
        onSplit={() => {
          split(at);
        }}
        onLift={hand.lift}
      />
    </ReasonPanel>
  );
}
