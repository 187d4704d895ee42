package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Work on the days to come: what is laid, what waits, what other hours would do. */
class DaysTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static Map<String, Long> shelf;
    private static long pouch;
    private static LocalDate today;

    @BeforeAll
    static void shelf() {
        APP.put("/api/settings", APP.settings("INCH"));
        shelf = APP.pouchShelf("90 yd");
        pouch = APP.pouch("Pouch for the days");
        today = LocalDate.parse(APP.get("/api/bench").body().get("today").asString());
    }

    @BeforeEach
    void twoHoursADay() {
        days("18:00", "0", "0", "0", "0", "1");
    }

    @AfterEach
    void nothingIsPlannedAnyMore() {
        for (JsonNode row : APP.get("/api/batches?list=PLANNED").body().get("items")) {
            JsonNode batch = APP.get("/api/batches/" + row.get("id").asLong()).body();
            APP.delete("/api/batches/" + row.get("id").asLong() + "?version="
                    + batch.get("version").asLong());
        }
        APP.get("/api/free-days")
                .body()
                .forEach(day -> APP.delete("/api/free-days/" + day.get("day").asString()));
    }

    private static Answer days(
            String begins, String atOneGo, String pause, String preparing, String clearing, String people) {
        ObjectNode settings = (ObjectNode) APP.get("/api/settings").body();
        settings.set("freeHours", RunningApp.JSON.valueToTree(List.of("2", "2", "2", "2", "2", "2", "2")));
        settings.putObject("days")
                .put("begins", begins)
                .put("atOneGo", atOneGo)
                .put("pause", pause)
                .put("preparing", preparing)
                .put("clearing", clearing)
                .put("people", people);
        return APP.put("/api/settings", settings);
    }

    private static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.body().toString()).isBetween(200, 201);
        return answer.body();
    }

    private static long batch(String units, int dueIn) {
        Map<String, Object> form = RunningApp.batch(pouch, units, shelf, List.of());
        form.put("dueOn", today.plusDays(dueIn).toString());
        return ok(APP.post("/api/batches", form)).get("id").asLong();
    }

    private static JsonNode days() {
        return ok(APP.get("/api/days?count=60"));
    }

    private static JsonNode outlook(long batch) {
        return days().get("batches")
                .valueStream()
                .filter(one -> one.get("batchId").asLong() == batch)
                .findFirst()
                .orElseThrow();
    }

    private static LocalDate ready(long batch) {
        return LocalDate.parse(outlook(batch).get("ready").asString());
    }

    private static Answer free(LocalDate day, String hours) {
        return APP.put("/api/free-days/" + day, Map.of("hours", hours, "note", ""));
    }

    @Test
    void operationsLieOnTheDaysOneAfterAnotherUntilTheBatchIsDone() {
        long batch = batch("10", 30);
        long laid = 0;
        int bags = 0;
        for (JsonNode day : days().get("days")) {
            String last = "18:00";
            long hands = 0;
            for (JsonNode stretch : day.get("stretches")) {
                assertThat(stretch.get("batchId").asLong()).isEqualTo(batch);
                assertThat(stretch.get("from").asString()).isGreaterThanOrEqualTo(last);
                last = stretch.get("to").asString();
                hands += stretch.get("hands").get("seconds").asLong();
                bags = Math.max(bags, stretch.get("bagsTo").asInt());
            }
            assertThat(hands).isLessThanOrEqualTo(2 * 3600);
            laid += hands;
        }
        JsonNode outlook = outlook(batch);
        assertThat(bags).isEqualTo(10);
        assertThat(laid)
                .isGreaterThanOrEqualTo(outlook.get("left").get("seconds").asLong());
        assertThat(outlook.get("surePercent").asInt()).isEqualTo(100);
        assertThat(outlook.get("from").get("seconds").asLong())
                .isLessThan(outlook.get("left").get("seconds").asLong());
        assertThat(outlook.get("lastBegin").asString()).isGreaterThan(today.toString());
        assertThat(days().get("days").get(0).get("stop").asString()).isNotEmpty();
    }

    @Test
    void whatOtherHoursWouldDoIsWhatTheyDo() {
        long batch = batch("10", 30);
        LocalDate before = ready(batch);
        LocalDate day = today.plusDays(1);
        JsonNode moved = ok(APP.post("/api/days/what-if", Map.of("day", day.toString(), "hours", "6")));
        assertThat(ready(batch)).as("nothing is stored").isEqualTo(before);
        assertThat(moved.get(0).get("ready").asString()).isEqualTo(before.toString());
        ok(free(day, "6"));
        assertThat(ready(batch))
                .isBefore(before)
                .isEqualTo(moved.get(0).get("then").asString());
        assertThat(APP.get("/api/bench").body().get("lanes").get(0).get("ready").asString())
                .isEqualTo(ready(batch).toString());
        assertThat(APP.delete("/api/free-days/" + day).status()).isEqualTo(204);
        assertThat(ready(batch)).isEqualTo(before);
    }

    @Test
    void aWeekAwayMovesAllAndALateBatchSaysWhatIsMissing() {
        long sooner = batch("6", 2);
        long batch = batch("10", 3);
        ok(APP.post(
                "/api/free-days",
                Map.of(
                        "from",
                        today.toString(),
                        "to",
                        today.plusDays(4).toString(),
                        "hours",
                        "0",
                        "note",
                        "At the sea ç {0}")));
        assertThat(days().get("days").get(2).get("note").asString()).isEqualTo("At the sea ç {0}");
        JsonNode late = outlook(batch);
        assertThat(late.get("late").asBoolean()).isTrue();
        assertThat(late.get("surePercent").asInt()).isZero();
        assertThat(late.get("missing").get("seconds").asLong())
                .isGreaterThanOrEqualTo(late.get("left").get("seconds").asLong());
        assertThat(late.get("inTimeWithout")).isEmpty();
        assertThat(late.has("lastBegin")).isFalse();
        assertThat(ready(sooner)).isAfterOrEqualTo(today.plusDays(5));
    }

    @Test
    void nothingIsLaidOnClothThatIsNotThere() {
        long there = batch("4", 10);
        long tooMany = batch("4000", 20);
        JsonNode waits = outlook(tooMany);
        assertThat(waits.get("waits").asString()).startsWith("Waits for ").contains("Outer");
        assertThat(waits.has("ready")).isFalse();
        assertThat(outlook(there).get("waits").asString()).isEmpty();
        assertThat(days().toString()).doesNotContain("4000 bags");
        days().get("days")
                .forEach(day -> day.get("stretches")
                        .forEach(stretch ->
                                assertThat(stretch.get("batchId").asLong()).isEqualTo(there)));
    }

    @Test
    void whatWaitsForZipsCanBeCut() {
        Map<String, Long> without = new HashMap<>(shelf);
        without.put("slider", APP.enter(APP.material("NOTION", "Slider that is sold out", "", "1.00", "1", "")));
        Map<String, Object> form = RunningApp.batch(pouch, "5", without, List.of());
        long batch = ok(APP.post("/api/batches", form)).get("id").asLong();
        assertThat(outlook(batch).get("waits").asString())
                .isEqualTo("It can be cut; the sewing waits for Slider that is sold out.");
        List<String> stations = days().get("days")
                .valueStream()
                .flatMap(day -> day.get("stretches").valueStream())
                .map(stretch -> stretch.get("station").asString())
                .distinct()
                .toList();
        assertThat(stations).contains("CUTTING_TABLE").doesNotContain("MACHINE", "WORK_TABLE");
    }

    @Test
    void whatIsTypedWrongIsSaidInASentence() {
        assertThat(free(today.plusDays(1), "-1").on("hours")).contains("less than 0");
        assertThat(free(today.plusDays(1), "30").on("hours")).contains("more than 6");
        assertThat(free(today.plusDays(1), "all day").on("hours")).contains("isn't a number");
        assertThat(free(today.minusDays(1), "2").on("day")).contains("is past");
        assertThat(free(today.plusYears(5), "2").on("day")).contains("years away");
        assertThat(APP.post(
                                "/api/free-days",
                                Map.of(
                                        "from",
                                        today.plusDays(3).toString(),
                                        "to",
                                        today.toString(),
                                        "hours",
                                        "0",
                                        "note",
                                        ""))
                        .on("to"))
                .contains("before the first");
        assertThat(days("half past six", "0", "0", "0", "0", "1").on("days.begins"))
                .contains("isn’t a time of day");
        assertThat(days("23:00", "0", "0", "0", "0", "1").on("freeHours.0")).contains("go beyond midnight");
        assertThat(days("9:00", "0", "0", "0", "0", "3").on("days.people")).contains("more than 2");
        assertThat(days("9:00", "-5", "0", "0", "0", "1").on("days.atOneGo")).contains("less than 0");
    }

    @Test
    void aDayThatIsAllPreparingHasNoWork() {
        days("18:00", "0", "0", "90", "30", "1");
        long batch = batch("4", 10);
        assertThat(outlook(batch).has("ready")).isFalse();
        assertThat(outlook(batch).get("late").asBoolean()).isTrue();
        assertThat(days().get("days").get(1).get("worked").get("seconds").asLong())
                .isZero();
    }

    @Test
    void theCalendarFileHasOneEventADayWithAnIdThatStays() {
        long batch = batch("10", 20);
        String file = APP.text("/api/days.ics");
        List<String> ids = ids(file);
        assertThat(ids).doesNotHaveDuplicates().contains("due-" + batch + "@mardun", "day-" + today + "@mardun");
        assertThat(file)
                .startsWith("BEGIN:VCALENDAR")
                .contains("DTSTART:" + today.toString().replace("-", "") + "T180000");
        assertThat(file.lines().allMatch(line -> line.length() <= 75)).isTrue();
        assertThat(ids(APP.text("/api/days.ics"))).isEqualTo(ids);
    }

    @Test
    void theCalendarFileTellsWhatAFairAsksForBefore() {
        AtTheStall stalls = new AtTheStall(APP);
        long fair = stalls.fair("Deadline fair", today.plusDays(40));
        assertThat(stalls.type(
                                fair,
                                Map.of(
                                        "state",
                                        "ACCEPTED",
                                        "fee",
                                        "60",
                                        "feeDueOn",
                                        today.plusDays(9).toString()))
                        .status())
                .isEqualTo(200);
        assertThat(APP.text("/api/days.ics")).contains("Deadline fair: pay the fee");
        assertThat(ids(APP.text("/api/days.ics"))).contains("fair-" + fair + "-pay-the-fee@mardun");
        stalls.type(fair, Map.of("state", "PAID"));
        assertThat(APP.text("/api/days.ics")).doesNotContain("pay the fee");
    }

    private static List<String> ids(String file) {
        return Pattern.compile("UID:(\\S+)")
                .matcher(file)
                .results()
                .map(found -> found.group(1))
                .toList();
    }

    @Test
    void hoursAreTypedAndShownWithTheMakersComma() {
        ObjectNode settings = (ObjectNode) APP.get("/api/settings").body();
        ok(APP.put("/api/settings", settings.put("decimalMark", "COMMA")));
        ok(free(today.plusDays(1), "2,5"));
        assertThat(days().get("days").get(1).get("hours").asString()).isEqualTo("2,5");
        ObjectNode again = (ObjectNode) APP.get("/api/settings").body();
        ok(APP.put("/api/settings", again.put("decimalMark", "POINT")));
        assertThat(days().get("days").get(1).get("hours").asString()).isEqualTo("2.5");
    }

    @Test
    void whatSlipsIsToldUntilItIsNoted() {
        long batch = batch("10", 30);
        assertThat(APP.post("/api/days/noted", Map.of()).status()).isEqualTo(204);
        LocalDate before = ready(batch);
        assertThat(days().get("slipped")).isEmpty();
        assertThat(days().get("notedOn").asString()).isEqualTo(today.toString());
        ok(free(today.plusDays(1), "0"));
        JsonNode slipped = days().get("slipped").get(0);
        assertThat(slipped.get("batchId").asLong()).isEqualTo(batch);
        assertThat(slipped.get("before").asString()).isEqualTo(before.toString());
        assertThat(slipped.get("now").asString()).isEqualTo(ready(batch).toString());
        batch("2", 1);
        assertThat(days().get("slipped")).as("a new batch hasn't slipped").hasSize(1);
        APP.post("/api/days/noted", Map.of());
        assertThat(days().get("slipped")).isEmpty();
    }

    @Test
    void aBatchIsDoneBeforeAllOthersAndInItsTurnAgain() {
        long sooner = batch("8", 5);
        long later = batch("8", 9);
        assertThat(ready(sooner)).isBefore(ready(later));
        JsonNode outlook = outlook(later);
        Map<String, Object> first = Map.of("version", outlook.get("version").asLong(), "first", true);
        assertThat(APP.put("/api/batches/" + later + "/first", first).status()).isEqualTo(204);
        assertThat(outlook(later).get("first").asBoolean()).isTrue();
        assertThat(ready(later)).isBefore(ready(sooner));
        assertThat(APP.put("/api/batches/" + later + "/first", first).status())
                .as("another tab has it as it was before")
                .isEqualTo(409);
        Map<String, Object> inTurn =
                Map.of("version", outlook(later).get("version").asLong(), "first", false);
        assertThat(APP.put("/api/batches/" + later + "/first", inTurn).status()).isEqualTo(204);
        assertThat(ready(sooner)).isBefore(ready(later));
    }

    private static JsonNode day(LocalDate date) {
        return days().get("days")
                .valueStream()
                .filter(day -> day.get("date").asString().equals(date.toString()))
                .findFirst()
                .orElseThrow();
    }

    /** A design in which nothing can be put away after one of its steps. */
    private static long loosePouch(String step) {
        long design = APP.pouch("Pouch, loose after " + step);
        JsonNode read = APP.get("/api/designs/" + design).body();
        ObjectNode document = (ObjectNode) read.get("document");
        document.get("steps")
                .valueStream()
                .filter(one -> one.get("name").asString().equals(step))
                .forEach(one -> ((ObjectNode) one).put("goesOn", true));
        ok(APP.put(
                "/api/designs/" + design, Map.of("version", read.get("version").asLong(), "document", document)));
        return design;
    }

    @Test
    void daysEndWhereTheBagsCanBePutAwayIfThatIsWished() {
        batch("10", 30);
        String last = day(today)
                .get("stretches")
                .valueStream()
                .filter(stretch ->
                        stretch.get("bagsTo").asInt() >= stretch.get("bagsFrom").asInt())
                .reduce((earlier, later) -> later)
                .orElseThrow()
                .get("name")
                .asString();
        nothingIsPlannedAnyMore();
        Map<String, Object> form = RunningApp.batch(loosePouch(last), "10", shelf, List.of());
        long batch = ok(APP.post("/api/batches", form)).get("id").asLong();
        assertThat(day(today).get("lies").asString())
                .contains("of batch " + batch + " can’t be put away: “" + last + "” is done");
        assertThat(outlook(batch).get("putAway").asString()).isEmpty();
        ObjectNode order =
                (ObjectNode) APP.get("/api/batches/" + batch + "/order").body();
        ObjectNode wishes = ((ObjectNode) order.get("wishes")).put("putAway", true);
        ok(APP.put(
                "/api/batches/" + batch + "/wishes",
                Map.of("version", order.get("version").asLong(), "wishes", wishes)));
        assertThat(day(today).get("lies").asString()).isEmpty();
        assertThat(outlook(batch).get("putAway").asString()).startsWith("Days end only where it can be put away: ");
    }

    @Test
    void whatIsPutAsideIsNotLaid() {
        long batch = batch("4", 10);
        JsonNode view = APP.get("/api/batches/" + batch).body();
        ok(APP.post(
                "/api/batches/" + batch + "/pause",
                Map.of("version", view.get("version").asLong())));
        assertThat(days().get("batches")).isEmpty();
        assertThat(Optional.ofNullable(days().get("days").get(0).get("stretches"))
                        .orElseThrow())
                .isEmpty();
    }
}
