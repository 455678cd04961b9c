import { Box, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { asError } from '../api/client';
import { Press } from '../controls/controls';
import { useFile } from '../files/use-file';
import { smallPicture } from './small-picture';
import { Alarm } from '../controls/text';

/** The company's logo, as printed at the head of its offers. */
export function LogoField({
  logo,
  onChange,
}: {
  logo: string | undefined;
  onChange: (logo: string | undefined) => void;
}) {
  const [refused, setRefused] = useState<string>();
  const take = (file: File) => {
    setRefused(undefined);
    smallPicture(file).then(onChange, (error: unknown) => {
      setRefused(`${file.name}: ${asError(error).message}`);
    });
  };
  const { field, ask } = useFile({
    accept: 'image/png,image/jpeg,image/webp,image/svg+xml',
    'aria-label': 'Logo file',
    onFile: take,
  });
  return (
    <Flex align="center" gap="3" py="1" wrap="wrap">
      <Text width="300px">Logo at the head of an offer</Text>
      {field}
      {logo !== undefined && (
        // On white, as on paper, whatever the screen's colors.
        <Box bg="white" border="1px solid" borderColor="rule" p="1">
          <img src={logo} alt="The logo as it stands on an offer" style={{ maxHeight: 48, maxWidth: 200 }} />
        </Box>
      )}
      <Press type="button" onClick={ask}>
        {logo === undefined ? 'Choose a logo' : 'Another logo'}
      </Press>
      {logo !== undefined && (
        <Press
          type="button"
          look="quiet"
          onClick={() => {
            onChange(undefined);
          }}
        >
          Remove the logo
        </Press>
      )}
      {refused !== undefined && (
        <Alarm strong role="alert" width="100%">
          {refused}
        </Alarm>
      )}
    </Flex>
  );
}
