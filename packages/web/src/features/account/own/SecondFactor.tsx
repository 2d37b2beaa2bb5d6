import { Box, Image } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { factorCodeSchema, type NewFactor } from '@wide-fern/contract';
import { useState } from 'react';
import { call, queryClient, sessionQuery } from '@wide-fern/client';
import { FormField } from '../../../ui/FormField';
import { QuietButton } from '../../../ui/MainButton';
import { Said } from '../../../ui/Passage';
import { saveFile } from '../../../ui/saveFile';
import { useSentForm } from '../../../ui/useSentForm';
import { Label, WordButton } from '../../../ui/words';
import { PasswordForm } from './PasswordForm';

const refresh = () => queryClient.invalidateQueries({ queryKey: sessionQuery.queryKey });

/** The picture a phone reads, drawn on this device: the secret goes nowhere else. */
function usePicture(address: string): string | undefined {
  const { data } = useQuery({
    queryKey: ['factor picture', address],
    queryFn: async () => {
      const { toDataURL } = await import('qrcode');
      return toDataURL(address, { margin: 2, width: 180 });
    },
    staleTime: Infinity,
    gcTime: 0,
  });
  return data;
}

function TypeDigits({
  offered: { secret, address },
  onKept,
}: {
  readonly offered: NewFactor;
  readonly onKept: (codes: readonly string[]) => void;
}) {
  const picture = usePicture(address);
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: factorCodeSchema,
    fields: ['code'],
    send: (body) => call('keepSecondFactor', { body }),
    onDone: ({ codes }) => onKept(codes),
  });
  return (
    <form noValidate onSubmit={onSubmit}>
      <Box display="grid" gap="12px" maxW="380px" mt="8px">
        <Box>
          Let an app for one-time codes on your phone read this picture, or type the letters into
          it. Then type the six digits it shows.
        </Box>
        {picture && <Image src={picture} alt="For the phone to read" w="180px" />}
        <Box fontFamily="mono" fontSize="13px" overflowWrap="anywhere">
          {secret.replace(/(.{4})/g, '$1 ')}
        </Box>
        <FormField
          label="Six digits"
          size="sm"
          inputMode="numeric"
          autoComplete="one-time-code"
          error={errorOf('code')}
          {...form.register('code')}
        />
        <QuietButton type="submit" size="sm" disabled={isSending}>
          Ask for them from now on
        </QuietButton>
        <Said wrong>{problem}</Said>
      </Box>
    </form>
  );
}

function KeptCodes({ codes }: { readonly codes: readonly string[] }) {
  return (
    <Box mt="8px" role="status">
      From now on the digits are asked for. Keep these ten codes where you find them when the phone
      is lost; each is good once, and they are not shown again.
      <Box as="pre" mt="8px" fontFamily="mono" fontSize="13px" lineHeight={1.6}>
        {codes.join('\n')}
      </Box>
      <WordButton
        onClick={() => saveFile('wide-fern-codes.txt', 'text/plain', `${codes.join('\n')}\n`)}
      >
        download them
      </WordButton>
    </Box>
  );
}

/** Six digits from a phone beside the password: begun, kept and ended. */
export function SecondFactor({ isOn }: { readonly isOn: boolean }) {
  const [offered, setOffered] = useState<NewFactor>();
  const [codes, setCodes] = useState<readonly string[]>();
  const [wanted, setWanted] = useState(false);
  if (codes) return <KeptCodes codes={codes} />;
  if (offered) {
    return (
      <TypeDigits
        offered={offered}
        onKept={(kept) => {
          setCodes(kept);
          void refresh();
        }}
      />
    );
  }
  return (
    <Box maxW="68ch">
      <Label>
        {isOn
          ? 'Six digits from your phone are asked for beside the password.'
          : 'Six digits from your phone, asked for beside the password: whoever learns the password still does not get in.'}
      </Label>
      {!wanted ? (
        <WordButton mt="4px" onClick={() => setWanted(true)}>
          {isOn ? 'ask for the password only' : 'begin with it'}
        </WordButton>
      ) : isOn ? (
        <PasswordForm
          word="Ask for the password only"
          send={(body) => call('endSecondFactor', { body })}
          onDone={() => {
            setWanted(false);
            void refresh();
          }}
        />
      ) : (
        <PasswordForm
          word="Show me the picture for the phone"
          send={(body) => call('beginSecondFactor', { body })}
          onDone={setOffered}
        />
      )}
    </Box>
  );
}
