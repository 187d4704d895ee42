package mardun.bench;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import mardun.core.order.OrderProblem;
import tools.jackson.databind.JsonNode;

/**
 * A made-up batch to be put in order, with what is known of it.
 *
 * @param ids of the operations, by their numbers
 * @param least no order costs less, as far as it is known
 * @param best what the best order costs that is known
 */
record OrderInstance(String name, String family, OrderProblem problem, List<String> ids, int least, int best) {

    private static final List<String> PARTS = List.of("needle", "top", "bobbin", "foot", "stitch");

    static OrderInstance read(JsonNode json) {
        List<String> stations =
                json.get("stations").valueStream().map(JsonNode::asString).toList();
        int[][] walk = new int[stations.size()][stations.size()];
        for (int from = 0; from < walk.length; from++) {
            for (int to = 0; to < walk.length; to++) {
                walk[from][to] = json.get("walk").get(from).get(to).asInt();
            }
        }
        int[] change = PARTS.stream()
                .mapToInt(part -> json.get("change").get(part).asInt())
                .toArray();
        Map<String, Integer> numbers = new HashMap<>();
        JsonNode start = json.get("start");
        int[][] on = new int[stations.size()][];
        for (int at = 0; at < on.length; at++) {
            on[at] = settings(start.path(stations.get(at)), numbers);
        }
        OrderProblem.Builder builder = new OrderProblem.Builder(
                walk, change, stations.indexOf(start.get("station").asString()), on);
        Map<String, Integer> designs = new HashMap<>();
        Map<String, Integer> operations = new HashMap<>();
        List<String> ids = new ArrayList<>();
        for (JsonNode operation : json.get("ops")) {
            BitSet groups = new BitSet();
            groups.set(designs.computeIfAbsent(operation.get("design").asString(), design -> designs.size()));
            String id = operation.get("id").asString();
            ids.add(id);
            operations.put(
                    id,
                    builder.add(
                            stations.indexOf(operation.get("station").asString()),
                            settings(operation.get("setup"), numbers),
                            groups));
        }
        for (JsonNode pair : json.get("before")) {
            builder.before(
                    operations.get(pair.get(0).asString()),
                    operations.get(pair.get(1).asString()));
        }
        int best = json.path("opt").asInt(json.path("best").asInt());
        return new OrderInstance(
                json.get("name").asString(),
                json.get("family").asString(),
                builder.build(),
                ids,
                json.path("opt").asInt(json.path("lb").asInt()),
                best);
    }

    private static int[] settings(JsonNode setUp, Map<String, Integer> numbers) {
        return PARTS.stream()
                .mapToInt(part -> setUp.hasNonNull(part)
                        ? numbers.computeIfAbsent(part + " " + setUp.get(part).asString(), text -> numbers.size())
                        : OrderProblem.ANYTHING)
                .toArray();
    }
}
