package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Posting: the postage table as it is typed, what bags weigh, and what an order costs to each zone. */
class PostingTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static AtTheBench bench;

    @BeforeAll
    static void aWorkroom() {
        bench = new AtTheBench(APP, "30 yd");
        bench.ok(APP.put("/api/settings", APP.settings("METRIC")));
    }

    private static Map<String, Object> rate(String zone, String name, String most, String shortest, String price) {
        Map<String, Object> rate =
                new HashMap<>(Map.of("zone", zone, "name", name, "most", most, "shortest", shortest, "price", price));
        rate.put("longest", "35");
        rate.put("middle", "25,5 cm");
        return rate;
    }

    private static Map<String, Object> form(long version, List<Map<String, Object>> rates) {
        Map<String, Object> form = new HashMap<>();
        form.put("version", version);
        form.put("sender", "Sandpiper Bags\nLaundry Yard 4");
        form.put("packing", "30 g");
        form.put("pressCard", "Press it {gently}.");
        form.put("unironedCard", "No iron.");
        form.put("rates", rates);
        return form;
    }

    private static long version() {
        return bench.ok(APP.get("/api/posting")).get("version").asLong();
    }

    @Test
    void theTableIsKeptAsItWasTyped() {
        List<Map<String, Object>> rates = List.of(
                rate("Home", "large letter", "1 lb", "3", "1.60"), rate("Abroad {ç}", "packet", "2 kg", "", "9.50"));
        JsonNode kept = bench.ok(APP.put("/api/posting", form(version(), rates)));
        assertThat(kept.get("rates")).hasSize(2);
        JsonNode letter = kept.get("rates").get(0);
        assertThat(letter.get("most").asString()).isEqualTo("16 oz");
        assertThat(letter.get("shortest").asString()).isEqualTo("3 cm");
        assertThat(letter.get("middle").asString()).isEqualTo("25.5 cm");
        assertThat(kept.get("rates").get(1).get("shortest").asString()).isEmpty();
        JsonNode again = bench.ok(APP.put("/api/posting", kept));
        assertThat(again.get("rates")).as("what is shown can be saved again").isEqualTo(kept.get("rates"));
        assertThat(APP.put("/api/posting", form(0, rates)).status()).isEqualTo(409);
    }

    @Test
    void whatIsNoRateIsToldAtItsField() {
        List<Map<String, Object>> rates = new ArrayList<>();
        rates.add(rate("", "letter", "heavy", "3", "1.60"));
        rates.add(rate("Home", "letter", "2 l", "0", "1.605"));
        rates.add(rate("Home", "crate", "900 kg", "", "9"));
        RunningApp.Answer refused = APP.put("/api/posting", form(version(), rates));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("rates.0.zone")).isNotNull();
        assertThat(refused.on("rates.0.most")).contains("heavy");
        assertThat(refused.on("rates.1.most")).contains("a weight is wanted");
        assertThat(refused.on("rates.1.shortest")).isNotNull();
        assertThat(refused.on("rates.1.price")).contains("decimals");
        assertThat(refused.on("rates.2.most")).contains("100 kg");
    }

    @Test
    void aBagIsWeighedBySizeAndForgottenAgain() {
        long pouch = APP.pouch("Weighed pouch");
        JsonNode weights = bench.ok(APP.put(
                "/api/posting/weights", Map.of("designId", pouch, "sizeKey", "s2", "weight", "92 g", "thick", "2,5")));
        JsonNode its = weights.valueStream()
                .filter(one -> one.get("designId").asLong() == pouch
                        && one.get("sizeKey").asString().equals("s2"))
                .findFirst()
                .orElseThrow();
        assertThat(its.get("weight").asString()).isEqualTo("92 g");
        assertThat(its.get("thick").asString()).isEqualTo("2.5 cm");
        assertThat(APP.put(
                                "/api/posting/weights",
                                Map.of("designId", pouch, "sizeKey", "s2", "weight", "0 g", "thick", ""))
                        .on("weight"))
                .contains("weighs something");
        assertThat(APP.put(
                                "/api/posting/weights",
                                Map.of("designId", pouch, "sizeKey", "s9", "weight", "9 g", "thick", ""))
                        .status())
                .isEqualTo(404);
        bench.ok(
                APP.put("/api/posting/weights", Map.of("designId", pouch, "sizeKey", "s2", "weight", "", "thick", "")));
        assertThat(bench.ok(APP.get("/api/posting/weights")).toString()).doesNotContain("92 g");
    }

    @Test
    void aLabelByHandHasTheAddressOnIt() throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port()
                        + "/api/posting/label.pdf?address=Ida%20Mar%C3%A9%0AQuay%203%0APort%20Ebb"))
                .build();
        byte[] pdf = HttpClient.newHttpClient()
                .send(request, HttpResponse.BodyHandlers.ofByteArray())
                .body();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(document)).contains("Ida Maré", "Quay 3", "Port Ebb");
        }
        assertThat(APP.raw(HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port()
                                        + "/api/posting/label.pdf?address=Ida%00%20%7B0%7D%E2%80%AE%F0%9F%A7%B5"))
                                .build())
                        .statusCode())
                .as("signs that can't be seen, and a picture")
                .isEqualTo(200);
        assertThat(APP.get("/api/posting/label.pdf").detail()).contains("needs an address");
        assertThat(APP.get("/api/posting/orders/999").status()).isEqualTo(404);
    }
}
