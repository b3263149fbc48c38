import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useNavigate } from "react-router";
import type { InboxNotice } from "../../shared/api/client";
import { useInbox, useReadNotices } from "../../shared/api/together";
import { formatMoment } from "../../shared/format/dates";
import { WideDialog } from "../../shared/ui/WideDialog";
import { noticeAddress, noticeSentence } from "./notices";
import { tellRefusal } from "../../shared/ui/notify";

const Line = chakra("button");

/** What waits for whoever asks; choosing one leads to what it is about. */
export function InboxDialog({ onClose }: { onClose: () => void }) {
  const inbox = useInbox(true);
  const read = useReadNotices();
  const navigate = useNavigate();
  const all = inbox.data ?? [];
  const unread = all.filter((one) => !one.read).map((one) => one.id);
  const open = (notice: InboxNotice) => {
    if (!notice.read) read.mutate([notice.id]);
    onClose();
    void navigate(noticeAddress(notice));
  };
  return (
    <WideDialog title="What waits for you" width="720px" onClose={onClose}>
      <Box flex="1">
        {inbox.isSuccess && all.length === 0 && <Box color="softInk">Nothing waits for you.</Box>}
        {all.map((notice) => (
          <Line
            key={notice.id}
            display="block"
            width="100%"
            textAlign="left"
            py="2"
            borderBottomWidth="1px"
            borderColor="line"
            data-notice={notice.kind}
            onClick={() => open(notice)}
          >
            <Flex gap="4">
              <Box flex="1" fontWeight={notice.read ? "400" : "650"}>
                {noticeSentence(notice)}
              </Box>
              <Box color="softInk" whiteSpace="nowrap">
                {formatMoment(notice.at)}
              </Box>
            </Flex>
            {notice.words && (
              <Box color="softInk" truncate>
                “{notice.words}”
              </Box>
            )}
            <Box color="softInk" fontSize="12.5px">
              {notice.projectName}
            </Box>
          </Line>
        ))}
        {unread.length > 0 && (
          <Button size="sm" variant="outline" mt="4" onClick={() => read.mutate(unread, tellRefusal)}>
            All of it is read
          </Button>
        )}
      </Box>
    </WideDialog>
  );
}
