package mardun.bench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;
import mardun.core.season.ComingEvent;
import mardun.core.season.Outlet;
import mardun.core.season.PastEvent;
import mardun.core.season.Season;
import mardun.core.season.SeasonItem;
import mardun.core.season.SeasonLimits;
import tools.jackson.databind.JsonNode;

/** A made-up season to be planned: what a planner is given. */
record SeasonInstance(Season season, List<String> ids) {

    static SeasonInstance read(JsonNode json) {
        List<SeasonItem> items = new ArrayList<>();
        Map<String, Integer> places = new HashMap<>();
        for (JsonNode one : json.get("items")) {
            places.put(one.get("id").asString(), items.size());
            items.add(item(one));
        }
        List<PastEvent> past = new ArrayList<>();
        for (JsonNode one : json.get("history")) {
            past.add(past(one, places));
        }
        List<ComingEvent> coming = new ArrayList<>();
        for (JsonNode one : json.get("coming")) {
            coming.add(new ComingEvent(
                    outlet(one),
                    one.path("fair").asString(""),
                    one.get("week").asInt(),
                    7 * (one.get("week").asInt() - 1),
                    one.get("month").asInt(),
                    one.path("footfall").asString(""),
                    one.path("outdoor").asBoolean(false),
                    one.path("table").asInt(0)));
        }
        return new SeasonInstance(
                new Season(items, limits(json.get("limits")), past, coming),
                items.stream().map(SeasonItem::id).toList());
    }

    private static SeasonItem item(JsonNode one) {
        Map<String, Double> cloth = new TreeMap<>();
        one.get("clothUse")
                .properties()
                .forEach(use -> cloth.put(use.getKey(), use.getValue().asDouble()));
        return new SeasonItem(
                one.get("id").asString(),
                one.get("design").asString(),
                one.get("kind").asString(),
                one.get("size").asString(),
                one.get("cloth").asString(),
                one.get("price").asDouble(),
                one.get("net").get("fair").asDouble(),
                one.get("net").get("online").asDouble(),
                one.get("trimCost").asDouble(),
                one.get("minutes").asDouble(),
                one.get("setupMinutes").asDouble(),
                cloth,
                one.get("space").asInt(),
                one.get("stock").asInt(),
                whole(one, "since"),
                OptionalInt.empty(),
                whole(one, "licence"),
                0,
                one.get("unsold").get("worth").asDouble(),
                1,
                1);
    }

    private static PastEvent past(JsonNode one, Map<String, Integer> places) {
        List<PastEvent.Line> lines = new ArrayList<>();
        for (JsonNode line : one.get("lines")) {
            lines.add(new PastEvent.Line(
                    places.get(line.get("item").asString()),
                    line.get("brought").asInt(),
                    line.get("sold").asInt(),
                    number(line, "soldOutHour"),
                    line.get("price").asDouble()));
        }
        return new PastEvent(
                outlet(one),
                one.path("fair").asString(""),
                one.get("week").asInt(),
                one.get("month").asInt(),
                one.get("hoursOpen").asDouble(),
                one.path("footfall").asString(""),
                one.path("outdoor").asBoolean(false),
                one.path("weather").asString(""),
                lines);
    }

    private static SeasonLimits limits(JsonNode json) {
        Map<String, SeasonLimits.Cloth> cloth = new TreeMap<>();
        json.get("cloth")
                .properties()
                .forEach(one -> cloth.put(
                        one.getKey(),
                        new SeasonLimits.Cloth(
                                one.getValue().get("shelf").asDouble(), number(one.getValue(), "price"), 0)));
        return new SeasonLimits(
                json.get("hours").asDouble(), json.get("money").asDouble(), whole(json, "pieces"), cloth);
    }

    private static Outlet outlet(JsonNode one) {
        return one.get("channel").asString().equals("fair") ? Outlet.FAIR : Outlet.ONLINE;
    }

    private static OptionalInt whole(JsonNode json, String name) {
        return json.hasNonNull(name) ? OptionalInt.of(json.get(name).asInt()) : OptionalInt.empty();
    }

    private static OptionalDouble number(JsonNode json, String name) {
        return json.hasNonNull(name) ? OptionalDouble.of(json.get(name).asDouble()) : OptionalDouble.empty();
    }
}
