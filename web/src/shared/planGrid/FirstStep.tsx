import { Box, Button, Flex, Link as Anchor } from "@chakra-ui/react";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import type { PlanView } from "../api/client";
import { refusalOf } from "../api/edits";
import { useRowEdits } from "../api/rowEdits";
import { notify } from "../ui/notify";
import { HEADER_HEIGHT } from "../grid/GridHeader";
import { ROW_HEIGHT } from "../grid/gridLook";
import { reveal } from "./reveal";

const GAP = 40;

/**
 * What to do in a plan in which nothing is planned yet: type, take in, paste, or look at an example.
 *
 * @param below how many rows of the grid it stands beneath
 */
export function FirstStep({ plan, below }: { plan: PlanView; below: number }) {
  const { id } = plan.project;
  const edits = useRowEdits(id);
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const type = async () => {
    setBusy(true);
    try {
      const result = await edits.rows([{ id: "", add: true, after: plan.branches.at(-1)?.id }]);
      const first = result?.order?.[0];
      if (first) reveal(plan, first);
      void navigate(`/projects/${id}/plan`);
    } catch (error) {
      notify(refusalOf(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box
      as="section"
      aria-label="First step"
      position="absolute"
      top={`${HEADER_HEIGHT + below * ROW_HEIGHT + GAP}px`}
      left="10"
      maxW="34rem"
      fontSize="15px"
    >
      <Box color="softInk">Nothing is planned yet, so there is nothing to simulate.</Box>
      <Flex mt="4" gap="4" align="center">
        <Button size="sm" bg="action" color="onAction" disabled={busy} onClick={() => void type()}>
          Type the first activity
        </Button>
        <Anchor asChild color="action" fontWeight="650">
          <Link to={`/projects/${id}/update`}>Take a schedule in from a file</Link>
        </Anchor>
      </Flex>
      <Box mt="4" color="softInk">
        Rows of a spreadsheet can be pasted: click “{plan.branches.at(-1)?.name}” in Plan and press Ctrl V.
        For a plan to learn on, begin one from an example in{" "}
        <Anchor asChild color="action">
          <Link to="/projects">your projects</Link>
        </Anchor>
        .
      </Box>
    </Box>
  );
}
