package mardun.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** Whoever sends is waited for so long; what the server takes for itself doesn't count. */
class BodiesInTimeTest {

    private static final long LONGEST_NS = 60_000_000;
    private static final int OF_THE_SERVER_MS = 200;
    private static final int A_DROP_MS = 10;
    private static final String BODY = "0123456789";

    private final BodiesInTime filter = new BodiesInTime(LONGEST_NS);

    @Test
    void aServerThatIsSlowReadsWhatIsThere() throws ServletException, IOException {
        StringBuilder read = new StringBuilder();
        send(0, (request, response) -> {
            sleep(OF_THE_SERVER_MS);
            read.append(new String(request.getInputStream().readAllBytes(), StandardCharsets.UTF_8));
        });
        assertThat(read).hasToString(BODY);
    }

    @Test
    void whatComesDropByDropIsWaitedForSoLong() {
        assertThatThrownBy(() -> send(
                        A_DROP_MS,
                        (request, response) -> request.getInputStream().readAllBytes()))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("too slowly");
    }

    private void send(int dropMs, FilterChain chain) throws ServletException, IOException {
        HttpServletRequest request = mock(HttpServletRequest.class);
        when(request.getContentLengthLong()).thenReturn((long) BODY.length());
        when(request.getInputStream()).thenReturn(inDrops(dropMs));
        filter.doFilterInternal(request, mock(HttpServletResponse.class), chain);
    }

    private static void sleep(int ms) throws IOException {
        try {
            Thread.sleep(ms);
        } catch (InterruptedException stopped) {
            throw new IOException(stopped);
        }
    }

    /** A body of which each byte takes a while. */
    private static ServletInputStream inDrops(int dropMs) {
        InputStream all = new ByteArrayInputStream(BODY.getBytes(StandardCharsets.UTF_8));
        return new ServletInputStream() {
            @Override
            public int read() throws IOException {
                sleep(dropMs);
                return all.read();
            }

            @Override
            public int read(byte[] into, int from, int most) throws IOException {
                sleep(dropMs);
                return all.read(into, from, Math.min(1, most));
            }

            @Override
            public boolean isFinished() {
                return false;
            }

            @Override
            public boolean isReady() {
                return true;
            }

            @Override
            public void setReadListener(ReadListener listener) {
                throw new UnsupportedOperationException();
            }
        };
    }
}
