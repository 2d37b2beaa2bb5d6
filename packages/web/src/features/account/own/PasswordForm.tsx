import { Box } from '@chakra-ui/react';
import { withPasswordSchema } from '@wide-fern/contract';
import { FormField } from '../../../ui/FormField';
import { QuietButton } from '../../../ui/MainButton';
import { Said } from '../../../ui/Passage';
import { useSentForm } from '../../../ui/useSentForm';

/** Asks for the present password before something of the account is done. */
export function PasswordForm<Reply>({
  word,
  send,
  onDone,
}: {
  readonly word: string;
  readonly send: (body: { password: string }) => Promise<Reply>;
  readonly onDone: (reply: Reply) => void | Promise<void>;
}) {
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: withPasswordSchema,
    fields: ['password'],
    send,
    onDone,
  });
  return (
    <form noValidate onSubmit={onSubmit}>
      <Box display="grid" gap="12px" maxW="320px" mt="8px">
        <FormField
          label="Present password"
          type="password"
          size="sm"
          autoComplete="current-password"
          error={errorOf('password')}
          {...form.register('password')}
        />
        <QuietButton type="submit" size="sm" disabled={isSending}>
          {word}
        </QuietButton>
        <Said wrong>{problem}</Said>
      </Box>
    </form>
  );
}
