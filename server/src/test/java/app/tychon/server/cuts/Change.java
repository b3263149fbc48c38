package app.tychon.server.cuts;

import static org.awaitility.Awaitility.await;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;

/** A kind of change that is cut: what it stands on, what is asked, and what there is to be seen afterwards. */
enum Change {
    EDIT_OF_ROWS {
        @Override
        AbstractMockHttpServletRequestBuilder<?> change(Subject subject) {
            return Subject.json(
                    patch(subject.at("/rows")),
                    "[{\"id\":\"S40\",\"duration\":\"25d\"},{\"id\":\"M10\",\"name\":\"Order the blank\"}]");
        }
    },
    PASTE_OF_500_ROWS {
        @Override
        AbstractMockHttpServletRequestBuilder<?> change(Subject subject) {
            return Subject.json(
                    patch(subject.at("/rows")),
                    IntStream.range(0, 500)
                            .mapToObj(i -> "{\"id\":\"\",\"add\":true,\"wbs\":\"S\",\"name\":\"Pasted " + i
                                    + "\",\"duration\":\"" + (1 + i % 9) + "d\"}")
                            .collect(Collectors.joining(",", "[", "]")));
        }
    },
    UNDO {
        @Override
        void prepare(Subject subject) throws Exception {
            subject.does(EDIT_OF_ROWS.change(subject));
        }

        @Override
        AbstractMockHttpServletRequestBuilder<?> change(Subject subject) {
            return Subject.json(post(subject.at("/undo")), "");
        }
    },
    BACK_TO_A_STATE {
        @Override
        void prepare(Subject subject) throws Exception {
            for (int days = 11; days < 15; days++) {
                subject.does(
                        Subject.json(patch(subject.at("/rows")), "[{\"id\":\"S40\",\"duration\":\"" + days + "d\"}]"));
            }
        }

        @Override
        AbstractMockHttpServletRequestBuilder<?> change(Subject subject) {
            return Subject.json(post(subject.at("/edits/2/back")), "");
        }
    },
    IMPORT {
        @Override
        AbstractMockHttpServletRequestBuilder<?> change(Subject subject) throws Exception {
            return Subject.json(post("/api/projects"), subject.file("called " + subject.project()));
        }

        @Override
        String seen(Subject subject) throws Exception {
            return subject.called("called " + subject.project());
        }
    },
    UPDATE_OF_A_SCHEDULE {
        @Override
        AbstractMockHttpServletRequestBuilder<?> change(Subject subject) throws Exception {
            String table = new String(subject.download("/schedule.csv"), StandardCharsets.UTF_8);
            String newer = table.replace(",80d,", ",95d,").replace("Survey the ridge", "Survey all of the ridge");
            return multipart(subject.at("/update"))
                    .file(new MockMultipartFile("file", "t.csv", "text/csv", newer.getBytes(StandardCharsets.UTF_8)))
                    .param("except", "")
                    .header("If-Match", "\"1\"");
        }
    },
    TAKE_OVER_OF_A_SCENARIO {
        @Override
        AbstractMockHttpServletRequestBuilder<?> change(Subject subject) {
            return Subject.json(post(subject.at("/scenarios/V4/takeover")), "");
        }
    },
    PROGRAMME_FOLLOWING {
        @Override
        void prepare(Subject subject) throws Exception {
            subject.inAProgramme();
        }

        @Override
        AbstractMockHttpServletRequestBuilder<?> change(Subject subject) throws Exception {
            return EDIT_OF_ROWS.change(subject);
        }

        @Override
        String seen(Subject subject) throws Exception {
            String own = super.seen(subject);
            String duration = subject.duration("", "S40");
            await().atMost(PATIENCE)
                    .ignoreExceptionsMatching(Subject.Refused.class::isInstance)
                    .until(() -> subject.duration("KR:", "S40").equals(duration));
            return own + subject.duration("KR:", "S40");
        }
    },
    BRIEF_ISSUED {
        @Override
        void prepare(Subject subject) throws Exception {
            subject.run();
        }

        @Override
        AbstractMockHttpServletRequestBuilder<?> change(Subject subject) {
            return Subject.json(post(subject.at("/briefs/B1/issue")), "");
        }

        @Override
        String seen(Subject subject) throws Exception {
            StringBuilder seen = new StringBuilder();
            for (JsonNode issue : subject.read("/issues")) {
                int bytes = subject.download("/issues/" + issue.get("id").asText() + "/file.pdf").length
                        + subject.download("/issues/" + issue.get("id").asText() + "/file.docx").length;
                seen.append(issue.get("title").asText()).append(bytes > 20_000 ? " whole" : " broken");
            }
            return seen.toString();
        }
    },
    RUN_ENDING {
        @Override
        AbstractMockHttpServletRequestBuilder<?> change(Subject subject) {
            return Subject.json(post(subject.at("/runs")), "{\"iterations\":500,\"seed\":7}");
        }

        @Override
        String seen(Subject subject) throws Exception {
            StringBuilder seen = new StringBuilder();
            for (JsonNode run : subject.read("/runs")) {
                String id = run.get("id").asText();
                await().atMost(PATIENCE)
                        .ignoreExceptionsMatching(Subject.Refused.class::isInstance)
                        .until(() -> !subject.get("/api/runs/" + id)
                                .get("state")
                                .asText()
                                .equals("running"));
                seen.append(subject.get("/api/runs/" + id).get("state").asText())
                        .append(subject.get("/api/runs/" + id + "/dates?levels=80")
                                .at("/levels/0/value")
                                .asText());
            }
            return seen.toString();
        }
    },
    DELETION {
        @Override
        AbstractMockHttpServletRequestBuilder<?> change(Subject subject) {
            return delete("/api/projects/" + subject.project());
        }

        @Override
        String seen(Subject subject) throws Exception {
            return super.seen(subject) + subject.shelf();
        }
    };

    static final Duration PATIENCE = Duration.ofSeconds(30);

    /** Whether it goes on after it was answered. */
    boolean goesOn() {
        return this == PROGRAMME_FOLLOWING || this == RUN_ENDING;
    }

    /** What must be there before the change. */
    void prepare(Subject subject) throws Exception {}

    /** What is asked. */
    abstract AbstractMockHttpServletRequestBuilder<?> change(Subject subject) throws Exception;

    /** What is to be seen of it in the end, the same for each subject. */
    String seen(Subject subject) throws Exception {
        return subject.plan();
    }
}
