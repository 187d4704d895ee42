package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Lists that go out and come in as CSV, over HTTP and the real database. */
class ListFilesTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    @BeforeAll
    static void aShelf() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        APP.post("/api/materials", APP.cloth("Firm twill", "44 1/2 in", "9.00", "3 1/4 yd"));
        APP.post("/api/materials", APP.material("NOTION", "-Minus ring", "", "2.50", "10", "40"));
    }

    private static JsonNode settled(String list, byte[] file) throws InterruptedException {
        Answer opened = APP.upload("/api/imports?list=" + list, file);
        assertThat(opened.status()).as(opened.body().toString()).isEqualTo(202);
        return settled(opened.body().get("id").asString());
    }

    private static JsonNode settled(String id) throws InterruptedException {
        JsonNode job = APP.get("/api/imports/" + id).body();
        while (job.get("state").asString().endsWith("ING")) {
            Thread.sleep(20);
            job = APP.get("/api/imports/" + id).body();
        }
        return job;
    }

    private static JsonNode enter(JsonNode job) throws InterruptedException {
        Answer entering = APP.post("/api/imports/" + job.get("id").asString() + "/enter", "");
        assertThat(entering.status()).as(entering.body().toString()).isEqualTo(202);
        return settled(job.get("id").asString());
    }

    private static JsonNode material(String name) {
        for (JsonNode one : APP.get("/api/materials").body().get("items")) {
            if (one.get("name").asString().equals(name)) {
                return one;
            }
        }
        return null;
    }

    @Test
    void whatGoesOutComesInAgainAndChangesNothing() throws InterruptedException {
        for (String list :
                new String[] {"materials", "lots", "movements", "shops", "packs", "finished-bags", "prices"}) {
            String out = APP.text("/api/lists/" + list + ".csv");
            JsonNode job = settled(list, out.getBytes(StandardCharsets.UTF_8));
            assertThat(job.get("state").asString()).as(list + job).isEqualTo("READ");
            assertThat(job.get("same").asInt())
                    .as(list)
                    .isEqualTo(job.get("total").asInt());
        }
        assertThat(APP.text("/api/lists/materials.csv")).contains("'-Minus ring");
    }

    @Test
    void semicolonsDecimalCommasOldEncodingsAndLineBreaksAreRead() throws InterruptedException {
        String file = "Name;Kind;What it is;Price;Price for;On hand;colour of the box\r\n"
                + "Bändchen;trim;\"schmal;\nzweifarbig\";1,25;1 m;12,5 m;red\r\n"
                + ";;;;;;\r\n";
        JsonNode job = settled("materials", file.getBytes(Charset.forName("windows-1252")));
        assertThat(job.get("separator").asString()).isEqualTo("semicolon");
        assertThat(job.get("encoding").asString()).isEqualTo("windows-1252");
        assertThat(job.get("unknown").get(0).asString()).isEqualTo("colour of the box");
        assertThat(job.get("adds").asInt()).isEqualTo(1);
        assertThat(material("Bändchen")).isNull();
        assertThat(enter(job).get("state").asString()).isEqualTo("ENTERED");
        JsonNode entered = material("Bändchen");
        assertThat(entered.get("note").asString()).isEqualTo("schmal;\nzweifarbig");
        assertThat(entered.get("price").get("minor").asLong()).isEqualTo(125);
        assertThat(entered.get("onHand").get("length").get("metric").asString()).isEqualTo("12.50 m");
        assertThat(APP.post("/api/imports/" + job.get("id").asString() + "/enter", "")
                        .detail())
                .contains("was entered already");
    }

    /** Prices are looked at first, too: set, taken away, and refused where nothing is called that. */
    @Test
    void pricesComeInForWhatIsThere() throws InterruptedException {
        APP.pouch("Listed pouch {ç}");
        String file = "design;size;channel;set price;why\n"
                + "listed POUCH {ç};medium;the stall;12,50;as others do\n"
                + "Listed pouch {ç};small;the stall;;\n";
        JsonNode job = settled("prices", file.getBytes(StandardCharsets.UTF_8));
        assertThat(job.get("changes").asInt()).isEqualTo(1);
        assertThat(job.get("same").asInt()).isEqualTo(1);
        assertThat(enter(job).get("state").asString()).isEqualTo("ENTERED");
        assertThat(APP.text("/api/lists/prices.csv"))
                .contains("Listed pouch {ç},medium,,the stall,12.50,as others do,");
        String wrong = "design,size,channel,set price\n"
                + "Listed pouch {ç},huge,the moon,many\n"
                + "Listed pouch {ç},medium,the stall,\n";
        JsonNode refused = settled("prices", wrong.getBytes(StandardCharsets.UTF_8));
        assertThat(refused.get("refused").asInt()).isEqualTo(1);
        assertThat(refused.get("lines").get(0).get("reasons").toString())
                .contains("in the size “huge”")
                .contains("no channel called “the moon”")
                .contains("“many”");
    }

    @Test
    void utf16WithATabIsRead() throws InterruptedException {
        String file = "\uFEFFname\tpostage\nHarbour cloths\t4.90\n";
        JsonNode job = settled("shops", file.getBytes(StandardCharsets.UTF_16LE));
        assertThat(job.get("separator").asString()).isEqualTo("tab");
        assertThat(enter(job).get("adds").asInt()).isEqualTo(1);
        assertThat(APP.get("/api/suppliers").body().toString()).contains("Harbour cloths");
    }

    @Test
    void oneBadLineKeepsTheWholeFileOut() throws InterruptedException {
        String file = "name,kind,price,price for,on hand\n"
                + "Good one,notion,2.00,10,5\n"
                + "Bad one,gadget,2.00,10,5\n"
                + "good ONE,notion,2.00,10,5\n"
                + "Firm twill,cloth,9.50,1 yd,3 yd\n";
        JsonNode job = settled("materials", file.getBytes(StandardCharsets.UTF_8));
        assertThat(job.get("refused").asInt()).isEqualTo(2);
        assertThat(job.get("lines").get(0).get("number").asInt()).isEqualTo(3);
        assertThat(job.get("lines").get(0).get("reasons").get(0).asString())
                .isEqualTo(
                        "“gadget” can't stand under “kind”. Write one of: cloth, sheet, trim, notion, filling by weight,"
                                + " filling by volume, thread, packing.");
        assertThat(job.get("lines").get(1).get("reasons").toString()).contains("stands in the file twice");
        assertThat(job.get("changes").asInt()).isEqualTo(1);
        assertThat(APP.post("/api/imports/" + job.get("id").asString() + "/enter", "")
                        .status())
                .isEqualTo(422);
        assertThat(material("Good one")).isNull();
    }

    @Test
    void aChangeSaysWhatBecomesOfIt() throws InterruptedException {
        APP.post("/api/materials", APP.cloth("Changing", "44 in", "9.00", "3 yd"));
        String file = "name,kind,price,price for,on hand\nChanging,cloth,9.50,1 yd,2 1/2 yd\n";
        JsonNode job = settled("materials", file.getBytes(StandardCharsets.UTF_8));
        assertThat(job.get("lines").get(0).get("reasons").toString())
                .contains("price: “9.00” becomes “9.50”")
                .contains("counted: 2 1/2 yd instead of 3 yd");
        enter(job);
        assertThat(material("Changing").get("price").get("amount").asString()).isEqualTo("9.50");
        assertThat(material("Changing").get("onHand").get("exact").asString()).isEqualTo("2 ½ yd");
        assertThat(material("Changing").get("usableWidth").get("exact").asString())
                .isEqualTo("44 in");
    }

    @Test
    void movementsAreTakenInTheirOrder() throws InterruptedException {
        APP.post("/api/materials", APP.material("NOTION", "Ordered", "", "2.50", "10", "5"));
        String head = "material,kind,amount,reason\n";
        JsonNode tooEarly =
                settled("movements", (head + "Ordered,used,8,\nOrdered,bought,10,\n").getBytes(StandardCharsets.UTF_8));
        assertThat(tooEarly.get("lines").get(0).get("reasons").get(0).asString())
                .contains("At this line only 5 of “Ordered” are on the shelf");
        JsonNode right =
                settled("movements", (head + "Ordered,bought,10,\nOrdered,used,8,\n").getBytes(StandardCharsets.UTF_8));
        enter(right);
        assertThat(material("Ordered").get("onHand").get("count").asLong()).isEqualTo(7);
    }

    @Test
    void aFileThatIsNoListSaysSo() throws InterruptedException {
        assertThat(settled("materials", new byte[0]).get("refusal").asString()).contains("The file is empty");
        assertThat(settled("materials", new byte[] {'P', 'K', 3, 4, 0, 0, 0})
                        .get("refusal")
                        .asString())
                .contains("isn't a CSV file");
        assertThat(settled("shops", "shop,price\nA,2\n".getBytes(StandardCharsets.UTF_8))
                        .get("refusal")
                        .asString())
                .contains("“name”, “postage” aren't among them");
        assertThat(settled("shops", "name,postage\n\"A,2\nB,3\n".getBytes(StandardCharsets.UTF_8))
                        .get("refusal")
                        .asString())
                .contains("a quotation mark is opened and not closed");
        assertThat(APP.upload("/api/imports?list=songs", new byte[0]).status()).isEqualTo(404);
    }
}
