import { Box, chakra, Flex } from '@chakra-ui/react';
import { ChevronDown } from 'lucide-react';
import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import { NavLink, useLocation } from 'react-router';
import { useSeesPrices } from '../api/me';
import { firstShown } from '../opening/first-header';
import { isOpenTo, jobTabs, shownOf } from './tabs';

const looks = {
  display: 'flex',
  alignItems: 'center',
  height: '100%',
  px: '2.5',
  fontFamily: 'heading',
  fontWeight: 600,
  color: 'soft',
  textDecoration: 'none',
  whiteSpace: 'nowrap',
  borderBottom: '5px solid transparent',
  borderTop: '5px solid transparent',
  _hover: { color: 'ink' },
} as const;

const Tab = chakra(NavLink, {
  base: { ...looks, '&.active': { color: 'ink', borderBottomColor: 'signal' } },
});
const MoreTab = chakra('button', {
  base: { ...looks, gap: '1', bg: 'transparent', borderX: 'none', cursor: 'pointer' },
});
const RestLink = chakra(NavLink, {
  base: {
    display: 'flex',
    alignItems: 'center',
    minHeight: '48px',
    px: '4',
    fontFamily: 'heading',
    fontWeight: 600,
    color: 'ink',
    textDecoration: 'none',
    whiteSpace: 'nowrap',
    _hover: { bg: 'keep' },
  },
});

/**
 * The tabs of a job; those that do not fit are in a list behind "More". `inert` until the job's name stands before them: it
 * moves them, and a press while they move would go to another one or be lost.
 */
export function JobTabs({ inert }: { inert: boolean }) {
  const seesPrices = useSeesPrices();
  const tabs = useMemo(() => jobTabs.filter(([to]) => isOpenTo(to, seesPrices)), [seesPrices]);
  const box = useRef<HTMLDivElement>(null);
  const ruler = useRef<HTMLDivElement>(null);
  const { pathname } = useLocation();
  const open = tabs.findIndex(([to]) => pathname.endsWith(`/${to}`));
  const [shown, setShown] = useState(() => firstShown(open));
  useLayoutEffect(() => {
    const measure = () => {
      const widths = [...(ruler.current?.children ?? [])].map((tab) =>
        Math.ceil(tab.getBoundingClientRect().width),
      );
      const now = shownOf(widths, box.current?.clientWidth ?? 0, open);
      setShown((before) => (String(now) === String(before) ? before : now));
    };
    measure();
    const observer = new ResizeObserver(measure);
    // Text widths change when the font has loaded.
    for (const each of [box.current, ruler.current]) if (each) observer.observe(each);
    return () => {
      observer.disconnect();
    };
  }, [open, tabs]);
  const rest = tabs.filter((_, i) => !shown.includes(i));
  return (
    <Flex
      as="nav"
      ref={box}
      inert={inert}
      aria-label="Views of this job"
      flex="1"
      minWidth="0"
      position="relative"
    >
      <Box position="absolute" inset="0" overflow="hidden" visibility="hidden" aria-hidden>
        <Flex ref={ruler} width="max-content">
          {tabs.map(([to, name]) => (
            <Box key={to} css={{ ...looks }}>
              {name}
            </Box>
          ))}
        </Flex>
      </Box>
      {shown.map((i) => {
        const [to, name] = tabs[i] ?? jobTabs[0];
        return (
          <Tab key={to} to={to}>
            {name}
          </Tab>
        );
      })}
      {rest.length > 0 && rest.length < tabs.length && <Rest tabs={rest} />}
    </Flex>
  );
}

/** Tabs that do not fit, in a list below their button. */
function Rest({ tabs }: { tabs: readonly (typeof jobTabs)[number][] }) {
  const [open, setOpen] = useState(false);
  const press = useRef<HTMLButtonElement>(null);
  return (
    <Box
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || !open) return;
        event.stopPropagation();
        setOpen(false);
        press.current?.focus();
      }}
      onBlur={({ currentTarget, relatedTarget }) => {
        if (!currentTarget.contains(relatedTarget)) setOpen(false);
      }}
    >
      <MoreTab
        ref={press}
        type="button"
        aria-label="More views of this job"
        aria-expanded={open}
        onClick={() => {
          setOpen(!open);
        }}
      >
        More
        <ChevronDown size={16} aria-hidden />
      </MoreTab>
      {open && (
        <Box
          position="absolute"
          top="60px"
          right="0"
          zIndex={30}
          bg="sheet"
          border="1.5px solid"
          borderColor="ink"
          minWidth="200px"
        >
          {tabs.map(([to, name]) => (
            <RestLink
              key={to}
              to={to}
              onClick={() => {
                setOpen(false);
              }}
            >
              {name}
            </RestLink>
          ))}
        </Box>
      )}
    </Box>
  );
}
