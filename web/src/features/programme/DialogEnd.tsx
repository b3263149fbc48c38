import { Button, Flex } from "@chakra-ui/react";

interface Props {
  /** What is done. */
  act: string;
  busy: boolean;
  disabled?: boolean;
  onLeave: () => void;
}

/** The end of a form in a dialog: leave it, or hand it in. */
export function DialogEnd({ act, busy, disabled, onLeave }: Props) {
  return (
    <Flex gap="3" mt="5" justify="flex-end">
      <Button type="button" size="sm" variant="outline" onClick={onLeave}>
        Leave it
      </Button>
      <Button type="submit" size="sm" bg="action" color="onAction" loading={busy} disabled={disabled}>
        {act}
      </Button>
    </Flex>
  );
}
