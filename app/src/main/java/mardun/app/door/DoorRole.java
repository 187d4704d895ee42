package mardun.app.door;

import java.util.List;
import java.util.regex.Pattern;

/** As what a device came in, and what it may do then. */
public enum DoorRole {
    /** Everything that isn't done at the machine itself. */
    MAKER("the maker", List.of(Way.to(".*", ".*"))),

    /** Works at the bench: cuts, sews, notes. Reads designs, batches and the shelf, and no prices, sales, orders or settings. */
    HELPER(
            "a helper",
            List.of(
                    Way.to("GET", "/api/settings(/today)?"),
                    Way.to(
                            "GET",
                            "/api/(measures|constructions|set-up-words|in-hand|days|free-days|upkeep|cut-pieces)"),
                    Way.to("GET", "/api/(bench|batches|designs|materials|notes)(/.*)?"),
                    Way.to("GET", "/api/(kinds|design-names|design-forms|design-blocks|buying)"),
                    Way.to("GET", "/api/logbook/(times|step-times)"),
                    // What is only worked out and kept nowhere.
                    Way.to("POST", "/api/constructions/worked"),
                    Way.to("POST", "/api/designs/(preview|slot-materials|seams|fit|diagnosis)"),
                    Way.to("POST", "/api/batches/(preview(/ticket)?|marginal|order|starting|replacements)"),
                    Way.to("POST", "/api/batches/\\d+/cutting/what-if"),
                    Way.to("POST|PUT|DELETE", "/api/bench/.*"),
                    Way.to("POST|PUT", "/api/batches/\\d+/(cut|cut-short|first|one-first|pause|resume)"),
                    Way.to("POST|PUT", "/api/batches/\\d+/cutting/(step|spoiled|minutes|mats/sent)"),
                    Way.to("GET|POST", "/api/simulated/cutting-machine"),
                    Way.to("POST", "/api/cut-pieces/movements"),
                    Way.to("POST", "/api/upkeep"),
                    Way.to("POST", "/api/notes"))),

    /** Stands at the stall: packs the boxes and sells. */
    STALL(
            "the stall",
            List.of(
                    Way.to("GET", "/api/settings(/today)?"),
                    Way.to("GET", "/api/fairs(/\\d+(/packing|/stall)?)?"),
                    Way.to("GET", "/api/designs/\\d+/photos/\\d+"),
                    Way.to("POST|PUT", "/api/fairs/\\d+/stall(/answers)?"),
                    Way.to("PUT", "/api/fairs/\\d+/packing/(packed|packed-box)")));

    private final String words;
    private final List<Way> ways;

    DoorRole(String words, List<Way> ways) {
        this.words = words;
        this.ways = ways;
    }

    /** As it is said: a helper. */
    String words() {
        return words;
    }

    /** Whether it may do something. */
    boolean may(String method, String path) {
        return ways.stream().anyMatch(way -> way.leadsTo(method.equals("HEAD") ? "GET" : method, path));
    }

    /** Requests that are let through. */
    private record Way(Pattern methods, Pattern paths) {

        static Way to(String methods, String paths) {
            return new Way(Pattern.compile(methods), Pattern.compile(paths));
        }

        boolean leadsTo(String method, String path) {
            return methods.matcher(method).matches() && paths.matcher(path).matches();
        }
    }
}
