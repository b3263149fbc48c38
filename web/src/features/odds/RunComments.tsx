import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { RunView } from "../../shared/api/client";
import { useComments } from "../../shared/api/together";
import { commentsOf } from "../../shared/together/comments";
import { CommentsPart } from "../../shared/together/CommentsPart";

const Plain = chakra("button");

/** What is said of a run, behind how much of it there is. */
export function RunComments({ project, run }: { project: string; run: RunView }) {
  const [shown, setShown] = useState(false);
  const about = { section: "runs", key: run.id };
  const { open } = commentsOf(useComments(project).data ?? [], about);
  if (shown) return <CommentsPart project={project} about={about} />;
  return (
    <Box mb="1">
      <Plain color="action" onClick={() => setShown(true)}>
        {open.length === 0 ? "Comment on it" : open.length === 1 ? "1 comment" : `${open.length} comments`}
      </Plain>
    </Box>
  );
}
