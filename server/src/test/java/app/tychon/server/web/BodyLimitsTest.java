package app.tychon.server.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.server.problems.BodyTooMuch;
import jakarta.servlet.ServletInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.DelegatingServletInputStream;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

class BodyLimitsTest {
    /** As servers read, not byte by byte. */
    private static final class InBlocks extends DelegatingServletInputStream {
        InBlocks(byte[] content) {
            super(new ByteArrayInputStream(content));
        }

        @Override
        public int read(byte[] bytes, int offset, int length) throws IOException {
            return getSourceStream().read(bytes, offset, length);
        }
    }

    private static byte[] readThrough(String path, String type, int bytes, Duration deadline) throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest("POST", path) {
            @Override
            public ServletInputStream getInputStream() {
                return new InBlocks(new byte[bytes]);
            }
        };
        request.setContentType(type);
        byte[][] read = new byte[1][];
        MockFilterChain chain = new MockFilterChain() {
            @Override
            public void doFilter(jakarta.servlet.ServletRequest bounded, jakarta.servlet.ServletResponse response)
                    throws IOException {
                read[0] = bounded.getInputStream().readAllBytes();
            }
        };
        new BodyLimits(deadline).doFilter(request, new MockHttpServletResponse(), chain);
        return read[0];
    }

    private static final Duration MINUTE = Duration.ofMinutes(1);

    @Test
    void whatComesTooSlowlyIsGivenUp() {
        assertThatThrownBy(() -> readThrough("/api/projects", "application/json", 10, Duration.ZERO))
                .isInstanceOf(BodyTooMuch.class)
                .hasMessageContaining("took too long");
    }

    @Test
    void eachKindOfBodyHasASizeOfItsOwn() throws Exception {
        assertThat(readThrough("/api/projects/x/rows", "application/json", 5_000_000, MINUTE))
                .hasSize(5_000_000);
        assertThatThrownBy(() -> readThrough("/api/projects/x/settings", "application/json", 5_000_000, MINUTE))
                .hasMessageContaining("4 MB");
        assertThat(readThrough("/api/projects", "application/json", 70_000_000, MINUTE))
                .hasSize(70_000_000);
        assertThatThrownBy(() -> readThrough("/api/schedules", "text/csv", 70_000_000, MINUTE))
                .hasMessageContaining("64 MB");
    }
}
