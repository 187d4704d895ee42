package mardun.app.care;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.util.LogbackMDCAdapter;
import java.io.IOException;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Set;
import mardun.app.RunningApp;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** The application tells what it is made of, and what it has to say without what somebody typed. */
class CareTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    @Test
    void everyPartOfServerAndPageHasAVersionAndALicence() {
        Set<String> names = new HashSet<>();
        for (JsonNode part : APP.get("/api/parts").body().get("parts")) {
            names.add(part.get("place").asString() + " " + part.get("name").asString());
            assertThat(part.get("version").asString()).as(part.toString()).isNotBlank();
            assertThat(part.get("licence").asString()).as(part.toString()).isNotBlank();
        }
        assertThat(names).contains("SERVER h2", "SERVER hibernate-core", "PAGE react", "PAGE radix-ui");
        assertThat(names)
                .noneMatch(name -> name.contains("mardun") || name.contains("junit") || name.contains("vitest"));
        assertThat(APP.text("/api/parts/server.cdx.json")).contains("\"bomFormat\" : \"CycloneDX\"");
        assertThat(APP.text("/api/parts/page.cdx.json")).contains("CycloneDX");
        assertThat(APP.get("/api/parts/other.cdx.json").status()).isEqualTo(404);
    }

    @Test
    void theLogHoldsNothingThatWasTypedAndCanBeSaved(@TempDir Path folder) throws IOException {
        LoggerContext context = new LoggerContext();
        context.setMDCAdapter(new LogbackMDCAdapter());
        LogFile.begin(folder, context);
        context.getLogger("mardun.app.care")
                .error(
                        "Could not keep “Ada’s cloth”",
                        new IllegalStateException(
                                "of the row", new IllegalArgumentException("no number in 'Ada Miller'")));
        context.stop();
        assertThat(LogFile.files(folder)).hasSize(1);
        assertThat(LogFile.files(folder).get(0))
                .content()
                .contains(
                        "Mardun begins, on Java",
                        "Could not keep …",
                        "IllegalStateException: of the row",
                        "no number in …",
                        "CareTest.java")
                .doesNotContain("Ada");
        assertThat(APP.get("/api/log.txt").status()).isEqualTo(200);
    }

    @Test
    void valuesOfRowsAreMasked() {
        assertThat(Masked.masked("index violation: PUBLIC.X ON MATERIAL(NAME) VALUES ( /* 1 */ Ada ); SQL"))
                .isEqualTo("index violation: PUBLIC.X ON MATERIAL(NAME) …");
    }
}
