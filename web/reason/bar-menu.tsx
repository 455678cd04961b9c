import { chakra, Menu, Portal } from '@chakra-ui/react';
import type { Method } from '../../core/job/vocabulary.js';
import type { Scope } from '../../core/scope/scope.js';
import { Cap } from '../controls/controls';
import { feet } from '../controls/format';
import { otherMethods } from '../keys/method-keys';
import { pressOf } from '../keys/table';
import type { ScopeBar } from '../drawing/scope-bars';

const Choice = chakra(Menu.Item, {
  base: {
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'space-between',
    gap: '6',
    minHeight: '44px',
    px: '3',
    cursor: 'pointer',
    outline: 'none',
    _highlighted: { bg: 'keep' },
  },
});

/** Refusals that a choice here would lift, or that are only about money. */
const choosable = ['not-needed', 'costs-more', 'pinned'];

interface Props {
  readonly bar: ScopeBar;
  readonly methods: Scope['methods'];
  /** The bar on the sheet. */
  readonly at: Element;
  readonly pinned: boolean;
  readonly onMethod: (method: Method) => void;
  readonly onJoin: () => void;
  readonly onSplit: () => void;
  readonly onLift: () => void;
  readonly onClose: () => void;
}

/** The menu itself waits for a frame, and a key pressed before that frame would go to the bar. */
const focus = (list: HTMLDivElement | null) => list?.focus({ preventScroll: true });

/** Everything that can be done with a bar, in a list that opens on the bar itself. */
export function BarMenu({ at, onClose, ...asked }: Props) {
  const { bar } = asked;
  const choices = choicesOf(asked);
  return (
    <Menu.Root
      open
      positioning={{
        placement: 'top-start',
        // The view clips anything larger than itself, unless it is fixed.
        strategy: 'fixed',
        getAnchorElement: () => at,
      }}
      onOpenChange={({ open }) => {
        if (!open) onClose();
      }}
      onSelect={({ value }) => {
        choices.find(({ key }) => key === value)?.act();
      }}
    >
      <Portal container={{ current: at.closest('main') }}>
        <Menu.Positioner>
          <Menu.Content
            ref={focus}
            aria-label={`Instead of ${bar.summary.name.toLowerCase()}, ${feet(bar.from_ft)} to ${feet(bar.to_ft)} ft`}
            bg="sheet"
            border="1.5px solid"
            borderColor="ink"
            minWidth="210px"
            maxWidth="290px"
            py="1"
            zIndex={25}
            outline="none"
          >
            {choices.map(({ says, key, against }) => (
              <Choice key={key} value={key}>
                <chakra.span color={against === undefined ? 'ink' : 'soft'}>
                  {says}
                  {against !== undefined && (
                    <chakra.span display="block" fontSize="12.5px" lineHeight="1.2">
                      {against}
                    </chakra.span>
                  )}
                </chakra.span>
                <Cap>{key.toUpperCase()}</Cap>
              </Choice>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}

interface BarChoice {
  readonly says: string;
  /** The same as on the sheet. */
  readonly key: string;
  /** What prevents it here. */
  readonly against?: string | undefined;
  readonly act: () => void;
}

function choicesOf({
  bar,
  methods,
  pinned,
  onMethod,
  onJoin,
  onSplit,
  onLift,
}: Omit<Props, 'at' | 'onClose'>) {
  const instead = otherMethods(bar.method, methods).map(({ method, key, name }): BarChoice => ({
    says: name,
    key,
    against: bar.segments
      .flatMap(({ rejected }) => rejected)
      .find((each) => each.method === method && !choosable.includes(each.rule))?.why,
    act: () => {
      onMethod(method);
    },
  }));
  const shape: BarChoice[] = [
    { says: 'Join with next', key: pressOf('join'), act: onJoin },
    { says: 'Split', key: pressOf('split'), act: onSplit },
  ];
  const lift: BarChoice = { says: 'Lift the pins here', key: pressOf('lift'), act: onLift };
  return [...instead, ...(bar.action ? shape : []), ...(pinned ? [lift] : [])];
}
