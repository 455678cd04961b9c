import { Text } from '@chakra-ui/react';
import { useCallback, useEffect, useState } from 'react';

/** Long enough to read a line twice, ms. */
const shown_ms = 8000;

/** What a press or key did that shows nowhere else, or why it did nothing; shown for a moment. */
export function useNotice(): { readonly notice: string | undefined; readonly tell: (words: string) => void } {
  const [said, setSaid] = useState<{ readonly words: string }>();
  const tell = useCallback((words: string) => {
    setSaid({ words });
  }, []);
  useEffect(() => {
    if (!said) return undefined;
    const timer = setTimeout(() => {
      setSaid(undefined);
    }, shown_ms);
    return () => {
      clearTimeout(timer);
    };
  }, [said]);
  return { notice: said?.words, tell };
}

/** Above the page, clear of hands and price; announced by screen readers. */
export const Notice = ({ words }: { words: string | undefined }) => (
  <Text
    role="status"
    data-testid="notice"
    className="not-printed"
    position="fixed"
    left="50%"
    top="68px"
    transform="translateX(-50%)"
    maxWidth="min(92vw, 560px)"
    zIndex={40}
    px={words ? '4' : '0'}
    py={words ? '2' : '0'}
    bg="ink"
    color="paper"
    fontSize="15px"
    pointerEvents="none"
  >
    {words}
  </Text>
);
