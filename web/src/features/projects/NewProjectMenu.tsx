import { Box, Button, chakra, Dialog, Menu, Portal } from "@chakra-ui/react";
import { Input } from "../../shared/ui/Input";
import { useState } from "react";
import type { ProjectView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useBegin, useBeginFromExample, useExamples } from "../../shared/api/projects";
import { formatDay, parseDay, toCivilText } from "../../shared/format/dates";
import { nextMonday } from "../../shared/schedule/scheduleSentences";
import { notify } from "../../shared/ui/notify";
import { Refusal } from "../../shared/ui/Refusal";

const Label = chakra("label");

/** Begins a project blank or from an example. */
export function NewProjectMenu({ onMade }: { onMade: (project: ProjectView) => void }) {
  const [blank, setBlank] = useState(false);
  const examples = useExamples();
  const beginFromExample = useBeginFromExample();
  return (
    <>
      <Menu.Root positioning={{ placement: "bottom-end" }}>
        <Menu.Trigger asChild>
          <Button size="sm" variant="outline">
            New project
          </Button>
        </Menu.Trigger>
        <Portal>
          <Menu.Positioner>
            <Menu.Content bg="panel" maxW="26rem">
              <Menu.Item value="blank" onSelect={() => setBlank(true)}>
                Blank…
              </Menu.Item>
              {(examples.data ?? []).map((example) => (
                <Menu.Item
                  key={example.id}
                  value={example.id}
                  onSelect={() =>
                    beginFromExample.mutate(example.id, {
                      onSuccess: onMade,
                      onError: (error) => notify(refusalOf(error)),
                    })
                  }
                >
                  <Box>
                    From the example {example.name}
                    <Box color="softInk" fontSize="12.5px">
                      {example.about}
                    </Box>
                  </Box>
                </Menu.Item>
              ))}
            </Menu.Content>
          </Menu.Positioner>
        </Portal>
      </Menu.Root>
      {blank && <BlankDialog onMade={onMade} onClose={() => setBlank(false)} />}
    </>
  );
}

function BlankDialog({ onMade, onClose }: { onMade: (project: ProjectView) => void; onClose: () => void }) {
  const begin = useBegin();
  const [name, setName] = useState("");
  const [day, setDay] = useState(() => formatDay(nextMonday(new Date())));
  const [currency, setCurrency] = useState("EUR");
  const [refusal, setRefusal] = useState<string>();
  const make = () => {
    const first = parseDay(day);
    if (first === undefined) return setRefusal(`“${day}” is no date; write it as 1 Mar 2027.`);
    begin.mutate(
      { name, start: toCivilText(first).slice(0, 10), currency },
      { onSuccess: onMade, onError: (error) => setRefusal(refusalOf(error)) },
    );
  };
  const field = (label: string, value: string, set: (text: string) => void) => (
    <Label display="block" mb="3">
      <Box color="softInk">{label}</Box>
      <Input aria-label={label} value={value} onChange={(event) => set(event.target.value)} />
    </Label>
  );
  return (
    <Dialog.Root open onOpenChange={(change) => !change.open && onClose()} size="sm">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content bg="panel" color="ink">
            <Dialog.Header>
              <Dialog.Title>A blank project</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body onKeyDown={(event) => event.key === "Enter" && make()}>
              {field("Name", name, setName)}
              {field("First day of the project", day, setDay)}
              {field("Currency", currency, setCurrency)}
              {refusal && <Refusal>{refusal}</Refusal>}
            </Dialog.Body>
            <Dialog.Footer>
              <Button size="sm" variant="outline" onClick={onClose}>
                Leave it
              </Button>
              <Button size="sm" bg="action" color="onAction" loading={begin.isPending} onClick={make}>
                Begin
              </Button>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
