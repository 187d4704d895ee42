package mardun.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;

import jakarta.validation.Validator;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import mardun.app.RunningApp;
import mardun.app.backup.BeforeImport;
import mardun.app.design.DesignPhotos;
import mardun.app.design.DesignService;
import mardun.app.exchange.ExchangeViews.ImportedDesigns;
import mardun.app.id.DesignId;
import mardun.app.material.MaterialService;
import mardun.app.picture.Pictures;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.request.RequestJson;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Before designs come in from a file all that is there is kept, once for each file that can come in. */
class DesignExchangeTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private final BeforeImport before = mock(BeforeImport.class);
    private final DesignExchange exchange = new DesignExchange(
            APP.part(DesignService.class),
            APP.part(DesignPhotos.class),
            APP.part(Pictures.class),
            APP.part(MaterialService.class),
            APP.part(OnceOnly.class),
            before,
            APP.part(RequestJson.class),
            APP.part(Validator.class));

    private byte[] file(String name) {
        return exchange.design(new DesignId(APP.pouch(name))).getBytes(StandardCharsets.UTF_8);
    }

    private ImportedDesigns take(UUID request, byte[] file, String name) {
        try (SentFile sent = SentFile.of(new ByteArrayInputStream(file))) {
            return exchange.take(request, sent, name);
        } catch (IOException unwritten) {
            throw new UncheckedIOException(unwritten);
        }
    }

    @Test
    void keepsWhatIsThereBeforeItTakesAFileIn() {
        byte[] file = file("Sent {ç}");
        UUID request = UUID.randomUUID();
        take(request, file, "Came in");
        verify(before, times(1)).keep();
        assertThat(take(request, file, "Came in").designs())
                .as("the same once more brings nothing, and keeps nothing")
                .hasSize(1);
        verify(before, times(1)).keep();
    }

    @Test
    void keepsNothingForWhatCanNotComeIn() {
        byte[] file = file("Sent again");
        UUID request = UUID.randomUUID();
        assertThatThrownBy(() -> take(request, file, "")).isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> take(request, "{}".getBytes(StandardCharsets.UTF_8), ""))
                .isInstanceOf(RefusedException.class);
        verify(before, never()).keep();
    }

    @Test
    void takesNothingInWhereNothingCouldBeKept() {
        byte[] file = file("Sent to a full disk");
        doThrow(RefusedException.conflict("The disk is full.")).when(before).keep();
        assertThatThrownBy(() -> take(UUID.randomUUID(), file, "Never came in")).hasMessageContaining("full");
        assertThat(APP.get("/api/designs?search=Never%20came")
                        .body()
                        .get("total")
                        .asInt())
                .isZero();
    }
}
