import { Box } from "@chakra-ui/react";
import { useIssue } from "../../shared/api/briefs";
import { WideDialog } from "../../shared/ui/WideDialog";
import { DrawingPicture } from "./DrawingPicture";
import { Lines } from "./Lines";
import { PAPER } from "./paper";
import { PaperTable } from "./PaperTable";

interface Props {
  project: string;
  issue: string;
  onClose: () => void;
}

/** An issued brief, as it was read when it was issued. */
export function IssuedBrief({ project, issue, onClose }: Props) {
  const brief = useIssue(project, issue);
  return (
    <WideDialog title={brief.data?.title || "Issued brief"} onClose={onClose} width="820px">
      {brief.isError && <Box role="alert">{brief.error.message}</Box>}
      {brief.data && (
        <Box bg={PAPER.sheet} color={PAPER.ink} flex="1" px="8" py="4" data-testid="issued">
          <Box color={PAPER.soft} fontSize="13px" mb="4">
            {brief.data.under}
          </Box>
          {brief.data.blocks.map(({ id, kind, told }) => (
            <Box key={id} as="section" mb="5">
              {told?.heading && (
                <Box as="h2" fontSize="18px" fontWeight="600" mb="1">
                  {told.heading}
                </Box>
              )}
              {told && <Lines lines={told.lines} large={kind === "answer"} />}
              {told?.drawing && <DrawingPicture drawing={told.drawing} />}
              {told?.table && <PaperTable table={told.table} label={told.heading} />}
              {told?.notes.map((note, i) => (
                <Box key={i} fontSize="12.5px" color={PAPER.soft}>
                  {note}
                </Box>
              ))}
            </Box>
          ))}
        </Box>
      )}
    </WideDialog>
  );
}
