import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { lineHead, type Edit } from '../../core/edits/index.js';
import type { LineHead } from '../../core/job/schema.js';
import type { LineView } from '../../core/views/line-view.js';
import { useJobContext } from '../shell/job-layout';
import { AddPress } from '../controls/add-press';
import { Press } from '../controls/controls';
import { withoutEmpty } from '../controls/without-empty';
import { NumberCell } from './cells';
import {
  listNames,
  listWords,
  measuredLists,
  withNew,
  type Chosen,
  type ListName,
  type Said,
} from './ground';
import { JobFields, LineFields } from './job-fields';
import { Lists } from './lists';
import { NewLine } from './new-line';
import { Plan } from './plan';
import { Strip } from '../strip/strip';
import { askedKinds, WhatLies } from './what-lies';
import { Note, Title } from '../controls/text';

/** The site: who and why, and the ground over each line, drawn as much as filled in. */
export function SiteView() {
  const { job, lineView, change, setLineId } = useJobContext();
  const [adding, setAdding] = useState(false);
  const hand = useGroundHand();
  const { head, chosen, cursor_ft, setHead, choose } = hand;
  const onTheList = { list: hand.list, head, chosen, onChoose: choose, onChange: setHead };
  return (
    <Flex height="100%" direction={{ base: 'column', md: 'row' }} overflow={{ base: 'auto', md: 'hidden' }}>
      <Beside
        hand={hand}
        adding={adding}
        onAdding={() => {
          setAdding(!adding);
        }}
      />
      <Box flex="1" minWidth={0} overflowY={{ md: 'auto' }} order={{ base: 1, md: 0 }}>
        {adding && (
          <NewLine
            job={job}
            change={change}
            onDone={(id) => {
              setAdding(false);
              if (id !== undefined) setLineId(id);
            }}
          />
        )}
        <Box bg="sheet" borderBottom="1px solid" borderColor="ink">
          {lineView ? (
            <Strip {...onTheList} view={lineView} cursor_ft={cursor_ft} onCursor={hand.setCursor} />
          ) : (
            <Note p="4">Working it out…</Note>
          )}
        </Box>
        <ListTabs hand={hand} />
        {hand.asking && <Asked hand={hand} view={lineView} />}
        {lineView && <Lists {...onTheList} view={lineView} />}
        <Box borderTop="1px solid" borderColor="rule" mt="3" px="3" py="2">
          <Heading as="h3" fontSize="15px" mb="1">
            On the ground
          </Heading>
          {lineView && <Plan view={lineView} />}
        </Box>
      </Box>
    </Flex>
  );
}

/** The ground of a line being edited: the open list, the selection, and where something is added. */
function useGroundHand() {
  const { line, lineView, change } = useJobContext();
  const [list, setList] = useState<ListName>('points');
  const [chosen, setChosen] = useState<Chosen>();
  const [cursor, setCursor] = useState<number>();
  /** Things with required values are requested first. */
  const [asking, setAsking] = useState(false);
  const edit = (edits: Edit[]) => void change.say(edits);
  const head = lineHead(line);
  const setHead = (set: LineHead) => {
    edit([{ kind: 'line', line: line.id, set: withoutEmpty(set, ['points']) }]);
  };
  const choose = (next: Chosen) => {
    setChosen(next);
    setList(next.list);
  };
  const cursor_ft = cursor ?? (lineView ? Math.round(lineView.from_ft + lineView.to_ft) / 2 : 0);
  return {
    ...{ list, chosen, asking, cursor_ft, head, edit, setHead, choose, setCursor, setAsking },
    open: (name: ListName) => {
      setList(name);
      setAsking(false);
    },
    add: (said?: Said) => {
      if (!lineView) return;
      const made = withNew(head, list, cursor_ft, lineView, said);
      setAsking(false);
      setHead(made.head);
      choose({ list, index: made.index });
    },
  };
}
type GroundHand = ReturnType<typeof useGroundHand>;

/** Beside the ground: the job and the line in words. */
function Beside({ hand, adding, onAdding }: { hand: GroundHand; adding: boolean; onAdding: () => void }) {
  const { job, line } = useJobContext();
  return (
    <Box
      width={{ base: '100%', md: '300px', xl: '330px' }}
      flexShrink={0}
      overflowY={{ md: 'auto' }}
      p="4"
      order={{ base: 2, md: 0 }}
      borderRight={{ md: '1px solid' }}
      borderColor={{ md: 'ink' }}
    >
      <Title size="part" mb="3">
        The job
      </Title>
      <JobFields job={job} onEdit={hand.edit} />
      <Title size="part" mt="5" mb="3">
        {line.name ?? line.id}
      </Title>
      <LineFields
        line={line}
        setLine={(patch) => {
          hand.setHead({ ...hand.head, ...patch });
        }}
      />
      <Press type="button" mt="4" width="100%" aria-expanded={adding} onClick={onAdding}>
        Add another line
      </Press>
    </Box>
  );
}

const ListTabs = ({
  hand: { list, head, cursor_ft, asking, setAsking, open, add },
}: {
  hand: GroundHand;
}) => (
  <Flex wrap="wrap" borderBottom="1px solid" borderColor="rule">
    <Flex role="tablist" aria-label="Things on the ground" wrap="wrap">
      {listNames.map((name) => (
        <Press
          key={name}
          type="button"
          role="tab"
          aria-selected={list === name}
          look="quiet"
          px="3"
          borderBottom="4px solid"
          borderColor={list === name ? 'signal' : 'transparent'}
          color={list === name ? 'ink' : 'soft'}
          onClick={() => {
            open(name);
          }}
        >
          {listWords[name].many}
          <Text as="span" color="soft" fontWeight={400} ml="1">
            {head[name]?.length ?? 0}
          </Text>
        </Press>
      ))}
    </Flex>
    <Box flex="1" />
    <AddPress
      onClick={() => {
        if (measuredLists[list] || list in askedKinds) setAsking(!asking);
        else add();
      }}
    >
      Add {listWords[list].one}
      {list === 'marks' ? '' : ` at ${cursor_ft.toFixed(1)}`}
    </AddPress>
  </Flex>
);

/** What is requested before it is on the list. */
function Asked({
  hand: { list, head, cursor_ft, add },
  view,
}: {
  hand: GroundHand;
  view: LineView | undefined;
}) {
  const measured = measuredLists[list];
  if (measured)
    return (
      <Measured
        {...measured}
        at_ft={cursor_ft}
        onMeasured={(measured_ft) => {
          add({ measured_ft });
        }}
      />
    );
  if (!view || (list !== 'surfaces' && list !== 'owners')) return null;
  return <WhatLies list={list} head={head} view={view} at_ft={cursor_ft} onSaid={add} />;
}

/** Requests a measurement at a station: there is no row until somebody made it. */
function Measured({
  label,
  least,
  at_ft,
  onMeasured,
}: {
  label: string;
  least: number;
  at_ft: number;
  onMeasured: (measured_ft: number) => void;
}) {
  return (
    <Flex align="center" gap="3" px="3" py="2" bg="keep" wrap="wrap">
      <Text>
        {label}, measured at {at_ft.toFixed(1)} on the line:
      </Text>
      <Box width="120px">
        <NumberCell
          label={label}
          measure="feet"
          least={least}
          value={undefined}
          onChange={(measured_ft) => {
            if (measured_ft !== undefined) onMeasured(measured_ft);
          }}
        />
      </Box>
      <Note size="small">Enter adds it</Note>
    </Flex>
  );
}
