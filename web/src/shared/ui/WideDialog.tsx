import { CloseButton, Dialog, Portal } from "@chakra-ui/react";
import type { ReactNode } from "react";

interface Props {
  title: string;
  onClose: () => void;
  children: ReactNode;
  width?: string;
}

/** A dialog as wide as what it holds needs; Esc closes it. */
export function WideDialog({ title, onClose, children, width = "1180px" }: Props) {
  return (
    <Dialog.Root open onOpenChange={(change) => !change.open && onClose()} size="cover">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content bg="panel" color="ink" maxW={width} height="auto" maxH="94vh" my="auto">
            <Dialog.Header py="3">
              <Dialog.Title fontSize="17px">{title}</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body display="flex" gap="5" pb="4" overflow="auto" minH="0">
              {children}
            </Dialog.Body>
            <Dialog.CloseTrigger asChild>
              <CloseButton size="sm" />
            </Dialog.CloseTrigger>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
