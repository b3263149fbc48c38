import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { About, Comment } from "../api/client";
import { useMembers, useRole } from "../api/people";
import { useChangeComment, useComments, useRemoveComment, useSay } from "../api/together";
import { formatMoment } from "../format/dates";
import { SheetPart } from "../sheet/SheetPart";
import { tellRefusal } from "../ui/notify";
import { Refusal } from "../ui/Refusal";
import { commentsOf } from "./comments";

const Plain = chakra("button");
const Area = chakra("textarea");

/** What people say of one thing: said, answered, resolved; whoever is named behind an @ is told. */
export function CommentsPart({ project, about }: { project: string; about: About }) {
  const comments = useComments(project);
  const speaks = useRole(project) !== "reader";
  const [resolved, setResolved] = useState(false);
  const { open, closed } = commentsOf(comments.data ?? [], about);
  return (
    <SheetPart title="Comments">
      {comments.isError && <Box role="alert">{comments.error.message}</Box>}
      {(resolved ? [...open, ...closed] : open).map(({ first, answers }) => (
        <Thread key={first.id} {...{ project, first, answers, speaks }} />
      ))}
      {closed.length > 0 && !resolved && (
        <Plain color="action" mb="2" onClick={() => setResolved(true)}>
          {closed.length === 1 ? "1 resolved comment" : `${closed.length} resolved comments`}
        </Plain>
      )}
      {speaks ? (
        <SayField project={project} about={about} label="Say something" />
      ) : (
        open.length === 0 && <Box color="softInk">Nothing was said yet.</Box>
      )}
    </SheetPart>
  );
}

interface ThreadProps {
  project: string;
  first: Comment;
  answers: Comment[];
  speaks: boolean;
}

function Thread({ project, first, answers, speaks }: ThreadProps) {
  const change = useChangeComment(project);
  const [answering, setAnswering] = useState(false);
  return (
    <Box mb="3" data-comment={first.id} opacity={first.resolvedAt ? 0.7 : 1}>
      <Said project={project} comment={first} />
      {answers.map((answer) => (
        <Box key={answer.id} pl="4" mt="1.5" borderLeftWidth="2px" borderColor="line">
          <Said project={project} comment={answer} />
        </Box>
      ))}
      {speaks && (
        <Flex gap="3" mt="1" color="action">
          {!answering && <Plain onClick={() => setAnswering(true)}>Answer</Plain>}
          <Plain onClick={() => change.mutate({ id: first.id, resolved: !first.resolvedAt }, tellRefusal)}>
            {first.resolvedAt ? "Open again" : "Resolved"}
          </Plain>
        </Flex>
      )}
      {first.resolvedAt && (
        <Box color="softInk" fontSize="12.5px">
          Resolved{first.resolvedBy ? ` by ${first.resolvedBy}` : ""}, {formatMoment(first.resolvedAt)}
        </Box>
      )}
      {answering && (
        <SayField
          project={project}
          about={first.about}
          answerTo={first.id}
          label="Answer"
          onSaid={() => setAnswering(false)}
        />
      )}
    </Box>
  );
}

function Said({ project, comment }: { project: string; comment: Comment }) {
  const change = useChangeComment(project);
  const remove = useRemoveComment(project);
  const [editing, setEditing] = useState<string>();
  return (
    <Box>
      <Flex gap="2" color="softInk" fontSize="12.5px">
        <Box flex="1">
          {comment.own ? "You" : (comment.by ?? "Somebody who is gone")}, {formatMoment(comment.at)}
          {comment.editedAt && ", edited"}
        </Box>
        {comment.own && editing === undefined && (
          <>
            <Plain onClick={() => setEditing(comment.words)}>Edit</Plain>
            <Plain onClick={() => remove.mutate(comment.id, tellRefusal)}>Take away</Plain>
          </>
        )}
      </Flex>
      {editing === undefined ? (
        <Box whiteSpace="pre-wrap">{comment.words}</Box>
      ) : (
        <Words
          label="Your comment"
          words={editing}
          onWords={setEditing}
          done="Keep"
          onDone={() =>
            change.mutate(
              { id: comment.id, words: editing },
              { ...tellRefusal, onSuccess: () => setEditing(undefined) },
            )
          }
          onLeave={() => setEditing(undefined)}
        />
      )}
    </Box>
  );
}

interface SayProps {
  project: string;
  about: About;
  answerTo?: string;
  label: string;
  onSaid?: () => void;
}

function SayField({ project, about, answerTo, label, onSaid }: SayProps) {
  const say = useSay(project);
  const [words, setWords] = useState("");
  return (
    <>
      <Words
        label={label}
        words={words}
        onWords={setWords}
        names={useMembers(project)
          .data?.filter((member) => !member.self)
          .map((member) => member.name)}
        done={answerTo ? "Answer" : "Say it"}
        onDone={() =>
          say.mutate(
            { about, answerTo, words },
            {
              onSuccess: () => {
                setWords("");
                onSaid?.();
              },
            },
          )
        }
        onLeave={() => setWords("")}
      />
      {say.error && <Refusal mt="1">{say.error.message}</Refusal>}
    </>
  );
}

interface WordsProps {
  label: string;
  words: string;
  onWords: (words: string) => void;
  /** Who can be named. */
  names?: readonly string[];
  done: string;
  onDone: () => void;
  onLeave: () => void;
}

/** Words as they are typed; Ctrl Enter hands them in. Behind an @ the names are offered of those who take part. */
function Words({ label, words, onWords, names = [], done, onDone, onLeave }: WordsProps) {
  const begun = /@([^@\n]*)$/.exec(words)?.[1];
  const offered =
    begun === undefined
      ? []
      : names.filter((name) => name.toLowerCase().startsWith(begun.toLowerCase()) && name !== begun.trim());
  return (
    <Box mt="1">
      <Area
        aria-label={label}
        placeholder={`${label}${names.length > 0 ? "; @ names somebody" : ""}`}
        rows={2}
        width="100%"
        px="2"
        py="1"
        bg="ground"
        borderWidth="1px"
        borderColor="line"
        maxLength={4000}
        value={words}
        onChange={(event) => onWords(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === "Enter" && event.ctrlKey && words.trim() !== "") onDone();
          if (event.key === "Escape" && words !== "") {
            event.stopPropagation();
            onLeave();
          }
        }}
      />
      {offered.length > 0 && (
        <Flex gap="2" wrap="wrap" color="action" role="group" aria-label="Whom to name">
          {offered.slice(0, 6).map((name) => (
            <Plain key={name} onClick={() => onWords(`${words.slice(0, words.lastIndexOf("@"))}@${name} `)}>
              @{name}
            </Plain>
          ))}
        </Flex>
      )}
      {words.trim() !== "" && (
        <Button size="xs" variant="outline" mt="1" onClick={onDone}>
          {done}
        </Button>
      )}
    </Box>
  );
}
