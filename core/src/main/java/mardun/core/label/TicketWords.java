package mardun.core.label;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.core.caution.Caution;
import mardun.core.design.Source;
import mardun.core.making.Stage;
import mardun.core.material.Ware;

/**
 * The small words of a ticket: of which fibre the bag is, how it is cared for, whom the pattern's licence wants to be named, and what has
 * to be warned of. Usual care, and never a statement that a product complies with a rule.
 *
 * @param fibre empty where no cloth says it
 * @param care empty where no material says it
 * @param credit the line that the pattern's licence asks for; empty if none
 * @param warnings of allergens, magnets, cords and small parts
 */
public record TicketWords(String fibre, String care, String credit, List<String> warnings) {

    /**
     * What a bag is made of.
     *
     * @param part what it is in the bag, such as outer cloth
     * @param isCloth cloths tell their fibre, everything its care
     */
    public record Of(String part, boolean isCloth, String fibre, String care) {}

    /**
     * The words for a bag.
     *
     * @param wares what its trims and notions are
     * @param fillings what its fillings are called
     */
    public static TicketWords of(
            List<Of> materials, Source source, Set<Ware> wares, Collection<String> fillings, boolean forChildren) {
        return new TicketWords(
                fibre(materials),
                materials.stream()
                        .map(Of::care)
                        .filter(words -> !words.isBlank())
                        .distinct()
                        .collect(Collectors.joining("; ")),
                source.credit().strip(),
                warnings(wares, fillings, forChildren));
    }

    /** One fibre alone where all cloths are of it; else each with the parts that are. */
    private static String fibre(List<Of> materials) {
        Map<String, List<String>> parts = new LinkedHashMap<>();
        materials.stream()
                .filter(Of::isCloth)
                .filter(one -> !one.fibre().isBlank())
                .forEach(one -> parts.computeIfAbsent(one.fibre(), fibre -> new ArrayList<>())
                        .add(one.part()));
        boolean allSay = materials.stream()
                .filter(Of::isCloth)
                .noneMatch(one -> one.fibre().isBlank());
        return parts.size() == 1 && allSay
                ? parts.keySet().iterator().next()
                : parts.entrySet().stream()
                        .map(fibre -> String.join(", ", new LinkedHashSet<>(fibre.getValue())) + ": " + fibre.getKey())
                        .collect(Collectors.joining("; "));
    }

    private static List<String> warnings(Set<Ware> wares, Collection<String> fillings, boolean forChildren) {
        return Caution.at(new Caution.Here(Stage.FINISH, List.of(), wares, fillings, forChildren)).stream()
                .flatMap(caution -> switch (caution) {
                    case NUT_SHELLS ->
                        List.of("Filled with " + String.join(", ", fillings) + ": nut shells are an allergen.")
                                .stream();
                    case MAGNETS -> List.of("Has magnets: keep from small children and from pacemakers.").stream();
                    case CHILDREN -> forChildren(wares).stream();
                    default -> List.<String>of().stream();
                })
                .toList();
    }

    private static List<String> forChildren(Set<Ware> wares) {
        List<String> warnings = new ArrayList<>();
        if (wares.contains(Ware.CORD) || wares.contains(Ware.RIBBON)) {
            warnings.add("Has a cord or ribbon: keep from small children.");
        }
        if (wares.stream().anyMatch(TicketWords::isSmall)) {
            warnings.add("Has small parts: keep from small children.");
        }
        return warnings;
    }

    private static boolean isSmall(Ware ware) {
        return switch (ware) {
            case SLIDER, SNAP, RING, CLIP, CORD_END, LOCK, SOMETHING_ELSE -> true;
            default -> false;
        };
    }
}
