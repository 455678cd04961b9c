import { Box, chakra, Flex } from '@chakra-ui/react';
import { Camera } from 'lucide-react';
import { useState } from 'react';
import type { Entry } from '../../core/job/schema.js';
import { asError, bodyOf, senderName } from '../api/client';
import { Press } from '../controls/controls';
import { useFile } from '../files/use-file';

/** Uploads one photo; returns its name there. The server detects its type from the content. */
export async function keepPhoto(photo: Blob): Promise<string> {
  const { name } = await bodyOf<{ name: string }>(
    await fetch('/api/photos', { method: 'POST', body: photo, headers: { 'x-device': senderName() } }),
  );
  return name;
}

/** The photos of an entry as thumbnails; each opens in full size. */
export function PhotoThumbs({ entry, what }: { entry: Entry; what: string }) {
  if (!entry.photos || entry.photos.length === 0) return null;
  return (
    <Flex gap="2" mt="1" wrap="wrap">
      {entry.photos.map((name) => (
        <a key={name} href={`/api/photos/${encodeURIComponent(name)}`} target="_blank" rel="noreferrer">
          <chakra.img
            src={`/api/photos/${encodeURIComponent(name)}`}
            alt={`Photo of ${what}`}
            height="44px"
            width="60px"
            objectFit="cover"
            border="1px solid"
            borderColor="soft"
            display="block"
          />
        </a>
      ))}
    </Flex>
  );
}

/** Adds a photo: choose a file, or paste one while the button has the focus. */
export function AddPhoto({ what, onAdd }: { what: string; onAdd: (name: string) => Promise<unknown> }) {
  const [failed, setFailed] = useState<string>();
  const add = async (photo: Blob) => {
    setFailed(undefined);
    try {
      await onAdd(await keepPhoto(photo));
    } catch (error) {
      setFailed(asError(error).message);
    }
  };
  const { field, ask } = useFile({
    accept: 'image/jpeg,image/png,image/webp',
    'aria-label': `Photo file of ${what}`,
    onFile: add,
  });
  return (
    <>
      {field}
      <Press
        type="button"
        look="quiet"
        onClick={ask}
        onPaste={(event) => {
          const [photo] = event.clipboardData.files;
          if (photo) void add(photo);
        }}
        aria-label={`Add a photo of ${what}`}
        title="Choose a photo, or paste one here"
      >
        <Camera size={17} />
      </Press>
      {failed && (
        <Box role="alert" color="signalInk" fontSize="13px" maxWidth="160px">
          {failed}
        </Box>
      )}
    </>
  );
}
