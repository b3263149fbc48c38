import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { BriefIssue, BriefView, PlanView } from "../../shared/api/client";
import { issueFile, useIssueBrief, useIssues, useLinkIssue, useWithdrawLink } from "../../shared/api/briefs";
import { formatMoment } from "../../shared/format/dates";
import { notify } from "../../shared/ui/notify";
import { SidePanel } from "../../shared/ui/SidePanel";

const Link = chakra("a");
const Plain = chakra("button");

interface Props {
  plan: PlanView;
  brief: BriefView;
  onOpen: (issue: string) => void;
  onClose: () => void;
}

/** What was issued: as it was read then it stays; the links by which it is read can be withdrawn. */
export function IssuesPanel({ plan, brief, onOpen, onClose }: Props) {
  const { id } = plan.project;
  const issues = useIssues(id);
  const issue = useIssueBrief(id);
  return (
    <SidePanel label="Issued briefs" title="Issued, to be read by a link" onClose={onClose} width={392}>
      <Box color="softInk" mb="3">
        An issue keeps the brief as it is now, with its run, for good. Whoever has a link to it may read it,
        without this application, until you withdraw the link.
      </Box>
      <Button
        size="sm"
        bg="action"
        color="onAction"
        disabled={issue.isPending || !brief.run}
        onClick={() => issue.mutate(brief.id, { onError: (error) => notify(error.message) })}
      >
        {issue.isPending ? "Being made…" : "Issue this brief as it is"}
      </Button>
      {issues.isError && <Box role="alert">{issues.error.message}</Box>}
      <Flex direction="column" gap="4" mt="4">
        {issues.data?.map((one) => (
          <Issued key={one.id} project={id} issue={one} onOpen={() => onOpen(one.id)} />
        ))}
        {issues.data?.length === 0 && <Box color="softInk">Nothing was issued yet.</Box>}
      </Flex>
    </SidePanel>
  );
}

function Issued({ project, issue, onOpen }: { project: string; issue: BriefIssue; onOpen: () => void }) {
  const link = useLinkIssue(project);
  const withdraw = useWithdrawLink(project);
  const [address, setAddress] = useState<{ link: string; text: string }>();
  const copy = () =>
    link.mutate(issue.id, {
      onSuccess: (made) => {
        const text = new URL(made.path ?? "", location.origin).href;
        setAddress({ link: made.id, text });
        void navigator.clipboard?.writeText(text).then(
          () => notify("The link is copied."),
          () => undefined,
        );
      },
      onError: (error) => notify(error.message),
    });
  return (
    <Box as="section" aria-label={`Issue ${issue.number}`} borderTopWidth="1px" borderColor="line" pt="3">
      <Box fontWeight="650">
        {issue.number}. {issue.title}
      </Box>
      <Box color="softInk">
        {formatMoment(issue.issuedAt)}, run {issue.run}
      </Box>
      <Flex gap="3" mt="1" color="action">
        <Plain onClick={onOpen}>Open</Plain>
        <Link href={issueFile(project, issue.id, "file.pdf")} download>
          PDF
        </Link>
        <Link href={issueFile(project, issue.id, "file.docx")} download>
          DOCX
        </Link>
        <Plain onClick={copy} disabled={link.isPending}>
          Copy a link to read
        </Plain>
      </Flex>
      {issue.links.map((one) => (
        <Flex key={one.id} gap="3" mt="1.5" align="baseline" wrap="wrap">
          <Box>A link of {formatMoment(one.madeAt)}</Box>
          <Plain
            color="risk"
            onClick={() =>
              withdraw.mutate(
                { issue: issue.id, link: one.id },
                {
                  onSuccess: () => notify("The link is withdrawn: nobody reads by it any more."),
                  onError: (error) => notify(error.message),
                },
              )
            }
          >
            Withdraw it
          </Plain>
          {address?.link === one.id && (
            <Link
              href={address.text}
              target="_blank"
              rel="noreferrer"
              color="action"
              wordBreak="break-all"
              data-testid="reading-link"
            >
              {address.text}
            </Link>
          )}
        </Flex>
      ))}
      {address && <Box color="softInk">Its address is told only now: keep it, or copy another later.</Box>}
    </Box>
  );
}
