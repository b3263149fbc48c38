package app.tychon.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.server.ServerTest;
import app.tychon.server.TestDatabase;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Files that never finish coming, more of them than the database has connections. */
class SlowUploadsTest extends ServerTest {
    private static final int UPLOADS = 25;

    @LocalServerPort
    private int port;

    private Socket trickling(String path, String type) throws Exception {
        Socket socket = new Socket(InetAddress.getLoopbackAddress(), port);
        String head = "POST " + path + " HTTP/1.1\r\nHost: 127.0.0.1:" + port + "\r\nAuthorization: Bearer "
                + TestDatabase.MACHINE_KEY + "\r\nContent-Type: "
                + type + "\r\nContent-Length: 100000\r\n\r\n{\"format\":\"tychon-project\",";
        socket.getOutputStream().write(head.getBytes(StandardCharsets.UTF_8));
        socket.getOutputStream().flush();
        return socket;
    }

    @Test
    void doNotKeepAnybodyElseFromTheDatabase() throws Exception {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < UPLOADS; i++) {
                slow.add(trickling("/api/projects", "application/json"));
                slow.add(trickling("/api/schedules?name=A&start=2027-03-01", "text/csv"));
            }
            HttpResponse<String> answer = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/projects"))
                                    .header("Authorization", "Bearer " + TestDatabase.MACHINE_KEY)
                                    .timeout(Duration.ofSeconds(30))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString());
            assertThat(answer.statusCode()).isEqualTo(200);
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
    }
}
