package app.tychon.server.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.asyncDispatch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.TestDatabase;
import app.tychon.server.database.DatabaseAddress;
import app.tychon.server.database.OwnDatabase;
import app.tychon.server.people.PeopledTest;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.http.MediaType;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

class BackupTest extends PeopledTest {
    @Test
    void whatWasBackedUpIsRestoredRowByRowAndOnlyWhereNothingIs(@TempDir Path folder) throws Exception {
        String project = "/api/projects/" + project();
        as(
                        OWNER,
                        patch(project + "/risks")
                                .contentType(MediaType.APPLICATION_JSON)
                                .content("[{\"id\":\"R06\",\"probability\":0.3,\"notes\":\"Ünï “quoted”\\nnext\"}]"))
                .andExpect(status().isOk());
        as(
                        OWNER,
                        post(project + "/comments")
                                .contentType(MediaType.APPLICATION_JSON)
                                .content("{\"about\":{\"section\":\"risks\",\"key\":\"R06\"},\"words\":\"真 ✓\"}"))
                .andExpect(status().isOk());

        Path file = folder.resolve("backup.zip");
        Files.write(file, taken());
        try (OwnDatabase fresh = OwnDatabase.start(folder.resolve("fresh"))) {
            DatabaseAddress to = fresh.address();
            assertThat(Restore.into(to.url(), to.user(), to.password(), file)).isGreaterThan(100);
            ByteArrayOutputStream again = new ByteArrayOutputStream();
            new Backup(new DriverManagerDataSource(to.url(), to.user(), to.password()), json).write(again);
            Map<String, String> restored = parts(again.toByteArray());
            assertThat(restored).isEqualTo(parts(Files.readAllBytes(file)));
            assertThat(restored.get("comment.jsonl")).contains("真 ✓");
            assertThat(restored.get("account.jsonl")).contains("olga@ridge.example");
            assertThat(restored).doesNotContainKey("WEB_SESSION.jsonl");

            assertThatThrownBy(() -> Restore.into(to.url(), to.user(), to.password(), file))
                    .isInstanceOf(Restore.NotRestored.class)
                    .hasMessageContaining("holds something already");
        }
    }

    @Test
    void whatIsNoBackupIsRefusedBeforeAnythingIsTouched(@TempDir Path folder) throws IOException {
        Path text = Files.writeString(folder.resolve("text.zip"), "no archive");
        assertThatThrownBy(() -> Restore.into("jdbc:mariadb://127.0.0.1:1/none", "", "", text))
                .hasMessageContaining("cannot be read as a backup");
    }

    private byte[] taken() throws Exception {
        return http.perform(asyncDispatch(
                        http.perform(get("/api/backup").header("Authorization", "Bearer " + TestDatabase.MACHINE_KEY))
                                .andReturn()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    /** What each file of a backup says, but for when it was made. */
    private static Map<String, String> parts(byte[] zip) throws IOException {
        Map<String, String> parts = new TreeMap<>();
        try (ZipInputStream in = new ZipInputStream(new java.io.ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
                parts.put(entry.getName(), text.replaceAll("\"madeAt\":\"[^\"]*\"", ""));
            }
        }
        return parts;
    }
}
