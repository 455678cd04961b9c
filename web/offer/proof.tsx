import { Box, chakra, Text } from '@chakra-ui/react';
import type { Proof } from '../../core/offer/proof.js';
import { feet, videoTime } from '../controls/format';
import { Note } from '../controls/text';

const first = 4;

/** The proof: photos, and times in the video. `photoAt` gives the address of a photo. */
export function ProofList({
  proof,
  photoAt,
}: {
  proof: readonly Proof[];
  photoAt: (name: string) => string;
}) {
  if (proof.length === 0) return <Note>No finding has a photo or a video time.</Note>;
  return (
    <Box display="grid" gridTemplateColumns="repeat(2, 1fr)" gap="3">
      {proof.slice(0, first).map((each) => (
        <Box key={`${each.line} ${each.finding}`}>
          {each.photos[0] !== undefined && (
            <a href={photoAt(each.photos[0])} target="_blank" rel="noreferrer">
              <chakra.img
                src={photoAt(each.photos[0])}
                alt={`Photo of ${each.what}`}
                width="100%"
                height="84px"
                objectFit="cover"
                border="1px solid"
                borderColor="soft"
                display="block"
              />
            </a>
          )}
          <Text fontSize="13.5px">
            {each.what}, {feet(each.at_ft)} ft
          </Text>
          {each.video && (
            <Note size="fine" overflowWrap="anywhere">
              {each.video.name} at {videoTime(each.video.at_s)}
            </Note>
          )}
        </Box>
      ))}
      {proof.length > first && <Note size="fine">and {proof.length - first} more in the report</Note>}
    </Box>
  );
}
