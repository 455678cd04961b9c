import { methodName } from '../../core/methods/index.js';
import { chakra, Menu, Portal } from '@chakra-ui/react';
import type { Method } from '../../core/job/vocabulary.js';
import { Cap } from '../controls/controls';
import { feet } from '../controls/format';
import { otherMethods } from './method-keys';
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

/** Refusals that a choice here would itself lift, or that are about money alone. */
const choosable = ['not-needed', 'costs-more', 'pinned'];

/** All that can be done on a bar, in a list that opens on the bar itself. */
export function BarMenu({
  bar,
  at,
  pinned,
  onMethod,
  onJoin,
  onSplit,
  onLift,
  onClose,
}: {
  bar: ScopeBar;
  /** The bar on the sheet. */
  at: Element;
  pinned: boolean;
  onMethod: (method: Method) => void;
  onJoin: () => void;
  onSplit: () => void;
  onLift: () => void;
  onClose: () => void;
}) {
  const choices = [
    ...otherMethods(bar.method).map(({ method, key, name }) => ({
      says: name,
      key,
      against: bar.segments
        .flatMap(({ rejected }) => rejected)
        .find((each) => each.method === method && !choosable.includes(each.rule))?.why,
      act: () => {
        onMethod(method);
      },
    })),
    ...(bar.action
      ? [
          { says: 'Join with next', key: 'j', against: undefined, act: onJoin },
          { says: 'Split', key: 'd', against: undefined, act: onSplit },
        ]
      : []),
    ...(pinned ? [{ says: 'Lift the pins here', key: 'x', against: undefined, act: onLift }] : []),
  ];
  return (
    <Menu.Root
      open
      positioning={{
        placement: 'top-start',
        // The view cuts off what is larger than itself, unless it is fixed.
        strategy: 'fixed',
        getAnchorRect: () => at.getBoundingClientRect(),
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
            aria-label={`Instead of ${methodName(bar.method).toLowerCase()}, ${feet(bar.from_ft)} to ${feet(bar.to_ft)} ft`}
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
