import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { BriefView, PlanView } from "../../shared/api/client";
import { exportFile, useExports } from "../../shared/api/briefs";
import { formatMoment } from "../../shared/format/dates";
import { SidePanel } from "../../shared/ui/SidePanel";

const Link = chakra("a");

interface Props {
  plan: PlanView;
  brief: BriefView;
  onClose: () => void;
}

/** Everything that can be taken out of a project and a run of it, in one place. */
export function ExportsPanel({ plan, brief, onClose }: Props) {
  const { id } = plan.project;
  const tables = useExports(id);
  const { run } = brief;
  return (
    <SidePanel label="Everything to take out" title="Everything to take out" onClose={onClose} width={392}>
      <Part title="The project as it is now">
        <Link color="action" href={`/api/projects/${id}/file`} download>
          Project file (JSON)
        </Link>
        <Box color="softInk">
          Plan, ranges, risks, money, scenarios and briefs; it comes in again unchanged.
        </Box>
      </Part>
      {run && (
        <Part title={`Run ${run.number}${run.name ? `, ${run.name}` : ""}`}>
          <Box color="softInk">
            {formatMoment(run.startedAt)}, seed {run.seed}: what it was made from, and what came out.
          </Box>
          <Button asChild size="sm" bg="action" color="onAction" alignSelf="flex-start" my="1">
            <a href={exportFile(id, "workbook.xlsx", run.number)} download>
              All of it as one workbook (XLSX)
            </a>
          </Button>
          {tables.isError && <Box role="alert">{tables.error.message}</Box>}
          {tables.data?.map(({ part, title }) => (
            <Flex key={part} gap="2" minH="26px" align="center">
              <Box flex="1">{title}</Box>
              <Link
                color="action"
                px="1"
                lineHeight="26px"
                href={exportFile(id, `${part}.csv`, run.number)}
                aria-label={`${title} as CSV`}
                download
              >
                CSV
              </Link>
            </Flex>
          ))}
        </Part>
      )}
      <Part title="For programs">
        <Link color="action" href="/api/openapi" target="_blank">
          Document of the interface (OpenAPI)
        </Link>
      </Part>
    </SidePanel>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Flex as="section" aria-label={title} direction="column" gap="1" mb="5">
      <Box as="h2" fontWeight="650">
        {title}
      </Box>
      {children}
    </Flex>
  );
}
