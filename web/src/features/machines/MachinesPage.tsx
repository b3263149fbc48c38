import { Box, Code, Table } from "@chakra-ui/react";
import type { MachinesView, MachineView } from "../../shared/api/client";
import { useMachines } from "../../shared/api/machines";
import { formatMoment } from "../../shared/format/dates";
import { formatWhole } from "../../shared/format/numbers";
import { Notice } from "../../shared/ui/Notice";
import { PageFrame, Part } from "../../shared/ui/PageFrame";
import { busyWords, machinesSentence, share, sizeWords, workers } from "./machineWords";

/** The machines that work for this server: who is there and who does what. */
export function MachinesPage() {
  const machines = useMachines();
  if (machines.isError) return <Notice alert>{machines.error.message}</Notice>;
  if (!machines.data) return null;
  const view = machines.data;
  return (
    <PageFrame title="Machines" wide>
      <Box fontSize="17px" fontWeight="600" data-testid="machines">
        {machinesSentence(view)}
      </Box>
      {workers(view).length > 0 && <MachineTable view={view} />}
      {view.listen === undefined ? <HowToLetIn /> : <HowToJoin listen={view.listen} />}
    </PageFrame>
  );
}

function MachineTable({ view }: { view: MachinesView }) {
  return (
    <Table.Root size="sm" mt="4" aria-label="Machines">
      <Table.Header>
        <Table.Row bg="transparent">
          {["Machine", "Blocks at once", "Here since", "Works at", "Has done", "Share of it"].map(
            (header) => (
              <Table.ColumnHeader key={header} color="softInk">
                {header}
              </Table.ColumnHeader>
            ),
          )}
        </Table.Row>
      </Table.Header>
      <Table.Body>
        {view.machines.map((one) => (
          <MachineRow key={one.id} view={view} one={one} />
        ))}
      </Table.Body>
    </Table.Root>
  );
}

function MachineRow({ view, one }: { view: MachinesView; one: MachineView }) {
  const isServer = one.kind === "server";
  const part = share(view, one);
  return (
    <Table.Row bg="transparent" borderColor="line" data-machine={one.name}>
      <Table.Cell fontWeight="600">
        {one.name}
        <Box as="span" color="softInk" fontWeight="400">
          {isServer ? " · server" : ` · ${one.address}`}
        </Box>
      </Table.Cell>
      <Table.Cell>{isServer ? "" : one.threads}</Table.Cell>
      <Table.Cell>{formatMoment(one.since)}</Table.Cell>
      <Table.Cell color={one.busy > 0 ? undefined : "softInk"}>{busyWords(one)}</Table.Cell>
      <Table.Cell>
        {isServer
          ? ""
          : `${formatWhole(one.futures)} futures in ${formatWhole(one.blocks)} blocks, ${sizeWords(one.bytes)}`}
      </Table.Cell>
      <Table.Cell width="140px">
        {!isServer && (
          <Box role="img" aria-label={`${Math.round(100 * part)} %`} height="10px" bg="line">
            <Box height="10px" bg="simulatedSoft" width={`${100 * part}%`} />
          </Box>
        )}
      </Table.Cell>
    </Table.Row>
  );
}

/** How to begin with it at all. */
function HowToLetIn() {
  return (
    <Part title="When one machine is not enough">
      Long runs can be shared among machines; the numbers stay the same to the last bit. Start the server with{" "}
      <Code>TYCHON_MACHINES=HOST:PORT</Code>, the address at which others reach it, and this page says how
      they join. Live odds and short runs always stay on the server.
    </Part>
  );
}

function HowToJoin({ listen }: { listen: string }) {
  return (
    <Part title="To let a machine join">
      Give it the same build of Tychon and the secret of these machines, which the server keeps in{" "}
      <Code>machines.secret</Code> of its data folder, and start there:
      <Box mt="2" p="3" bg="actionTint" fontFamily="mono" wordBreak="break-all">
        TYCHON_MACHINES_SECRET=… ./tychon worker --join {listen}
      </Box>
      <Box mt="2" color="softInk">
        It takes part of a long run at once, one that is going on too, and leaves by Ctrl-C when what it has
        in hand is done. What a machine that dies had in hand is done again by others.
      </Box>
    </Part>
  );
}
