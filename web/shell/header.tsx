import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { ChevronLeft, Moon, Sun } from 'lucide-react';
import { useSyncExternalStore, type ReactNode } from 'react';
import { Link } from 'react-router';
import { IconPress } from '../controls/controls';
import { useMe } from '../api/me';
import { lazyPart } from './lazy-part';
import { chooseMode, modeNow, onMode } from '../theme/mode';
import { Mark } from './mark';

// Only where people sign in.
const MeMenu = lazyPart(
  'me',
  async () => (await import('../people/me-menu')).MeMenu,
  () => null,
);

const HomeLink = chakra(Link, {
  base: {
    display: 'flex',
    alignItems: 'center',
    gap: '3',
    px: '4',
    height: '100%',
    textDecoration: 'none',
    color: 'ink',
    borderRight: '1px solid',
    borderColor: 'rule',
  },
});

/** The way back from a page outside any job. */
export const ToJobs = () => (
  <HeaderLink to="/">
    <ChevronLeft size={18} aria-hidden />
    Jobs
  </HeaderLink>
);

/** A link to another page, in the top bar. */
export const HeaderLink = chakra(Link, {
  base: {
    display: 'flex',
    alignItems: 'center',
    gap: '1',
    px: { base: '2.5', md: '4' },
    whiteSpace: 'nowrap',
    fontFamily: 'heading',
    fontWeight: 600,
    color: 'ink',
    textDecoration: 'none',
    _hover: { textDecoration: 'underline' },
  },
});

/** The bar at the top of every page; `compact` leaves its room to the page's own content. */
export function Header({ compact = false, children }: { compact?: boolean; children?: ReactNode }) {
  const mode = useSyncExternalStore(onMode, modeNow);
  const { person } = useMe();
  const other = mode === 'dark' ? 'light' : 'dark';
  return (
    <Flex
      as="header"
      height="60px"
      flexShrink={0}
      align="stretch"
      borderBottom="1px solid"
      borderColor="ink"
      bg="paper"
    >
      <HomeLink to="/" aria-label="Open Trench, all jobs">
        <Mark />
        <Text
          as="span"
          fontFamily="heading"
          fontWeight={800}
          fontStretch="118%"
          fontSize="17px"
          whiteSpace="nowrap"
          display={compact ? 'none' : { base: 'none', lg: 'inline' }}
        >
          Open Trench
        </Text>
      </HomeLink>
      <Flex flex="1" minWidth={0} align="stretch">
        {children}
      </Flex>
      {person && <MeMenu person={person} />}
      <Box display="flex" alignItems="center" borderLeft="1px solid" borderColor="rule">
        <IconPress
          type="button"
          aria-label={`Use ${other} colors`}
          title={`Use ${other} colors`}
          onClick={() => {
            chooseMode(other);
          }}
        >
          {mode === 'dark' ? <Sun size={19} /> : <Moon size={19} />}
        </IconPress>
      </Box>
    </Flex>
  );
}
