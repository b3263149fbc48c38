package app.tychon.server.launch;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;

class StartingPageTest {
    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        }
    }

    @Test
    void itSaysThatTheServerStartsAndMakesRoomForIt() throws Exception {
        int port = freePort();
        StartingPage page = StartingPage.at("127.0.0.1", port);
        HttpResponse<String> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/projects"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isEqualTo(503);
        assertThat(answer.body()).contains("Tychon is starting").contains("refresh");
        assertThat(answer.headers().firstValue("Retry-After")).hasValue("2");
        page.start();
        assertThat(page.isRunning()).isTrue();
        try (ServerSocket server = new ServerSocket()) {
            server.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
        }
    }

    @Test
    void aPortThatIsTakenIsNoReasonNotToStart() throws Exception {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            StartingPage page = StartingPage.at("127.0.0.1", taken.getLocalPort());
            page.start();
            assertThat(page.isRunning()).isTrue();
        }
    }
}
