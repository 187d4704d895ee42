package mardun.app.gather;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.BatchReading;
import mardun.app.batch.BatchSheetWriter;
import mardun.app.batch.BatchWork;
import mardun.app.batch.BatchWork.AtWork;
import mardun.app.batch.Starting;
import mardun.app.batch.WorkOrders;
import mardun.app.gather.GatherViews.GatherItem;
import mardun.app.gather.GatherViews.GatherTool;
import mardun.app.gather.GatherViews.GatherView;
import mardun.app.gather.GatherViews.WholeCheck;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.material.ShelfMaterial;
import mardun.app.note.NoteAbout;
import mardun.app.note.NoteService;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.FindingView;
import mardun.core.batch.Need;
import mardun.core.making.SetUp;
import mardun.core.material.Part;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is fetched before a batch is begun, from which place on the shelf, and whether the batch as a whole can be begun. */
@Service
class GatherService {

    /** Below this likelihood the maker is told to begin more bags. */
    private static final BigDecimal LIKELY = new BigDecimal("0.8");

    private static final Map<SetUp.Part, String> TOOLS = tools();

    private final BatchWork work;
    private final BatchReading reading;
    private final WorkOrders orders;
    private final Starting starting;
    private final MaterialService materials;
    private final NoteService notes;
    private final SettingsService settings;

    GatherService(
            BatchWork work,
            BatchReading reading,
            WorkOrders orders,
            Starting starting,
            MaterialService materials,
            NoteService notes,
            SettingsService settings) {
        this.work = work;
        this.reading = reading;
        this.orders = orders;
        this.starting = starting;
        this.materials = materials;
        this.notes = notes;
        this.settings = settings;
    }

    private static Map<SetUp.Part, String> tools() {
        Map<SetUp.Part, String> tools = new LinkedHashMap<>();
        tools.put(SetUp.Part.NEEDLE, "Needles");
        tools.put(SetUp.Part.FOOT, "Feet");
        tools.put(SetUp.Part.THREAD, "Thread");
        tools.put(SetUp.Part.BOBBIN, "Bobbins");
        tools.put(SetUp.Part.PRESS_CLOTH, "At the press");
        return tools;
    }

    @Transactional(readOnly = true)
    GatherView of(BatchId id) {
        AtWork at = work.of(id);
        ViewWriter writer = settings.current().writer();
        Planned planned = at.planned();
        Map<MaterialId, ShelfMaterial> shelf =
                materials.onShelf().stream().collect(Collectors.toMap(ShelfMaterial::id, Function.identity()));
        return new GatherView(
                id,
                at.work().name(),
                at.work().forWhat(),
                at.work().dueOn().orElse(null),
                at.isOpen(),
                planned.toCome().stream()
                        .filter(need -> shelf.containsKey(material(need)))
                        .map(need -> item(need, planned, shelf.get(material(need)), writer))
                        .sorted(Comparator.comparing(
                                        (GatherItem item) -> item.place().isEmpty())
                                .thenComparing(GatherItem::place)
                                .thenComparing(GatherItem::name))
                        .toList(),
                tools(at),
                checks(id, at, writer),
                at.isOneFirst(),
                notes
                        .about(
                                planned.lines().stream()
                                        .map(line -> line.chosen().designId())
                                        .collect(Collectors.toSet()),
                                planned.supplies().stream()
                                        .map(supply -> MaterialId.valueOf(supply.key()))
                                        .collect(Collectors.toSet()))
                        .stream()
                        .filter(note -> note.pin().about() != NoteAbout.MACHINE)
                        .toList(),
                BatchSheetWriter.cautions(planned));
    }

    private static MaterialId material(Need need) {
        return MaterialId.valueOf(need.supply().key());
    }

    private static GatherItem item(Need need, Planned planned, ShelfMaterial material, ViewWriter writer) {
        Stream<String> lots = Stream.concat(
                need.offcuts().stream()
                        .map(use -> use.count() + " × "
                                + planned.shelves().nameOf(material.id(), LotId.valueOf(use.key()))),
                need.takenOfRolls().keySet().stream()
                        .map(roll -> "lot " + planned.shelves().nameOf(material.id(), LotId.valueOf(roll))));
        return new GatherItem(
                material.id(),
                need.part(),
                material.kind(),
                material.name()
                        + (need.part() == Part.WHOLE ? "" : ", " + need.part().words()),
                material.colour(),
                material.place(),
                writer.amount(need.amount()),
                writer.amount(planned.shelves().onHand(material.id(), need.part())),
                lots.distinct().toList(),
                need.isShort());
    }

    private static List<GatherTool> tools(AtWork at) {
        List<GatherTool> tools = new ArrayList<>();
        Set<String> places = new LinkedHashSet<>();
        at.turns().forEach(turn -> places.add(turn.at().words()));
        if (!places.isEmpty()) {
            tools.add(new GatherTool("Places", List.copyOf(places)));
        }
        TOOLS.forEach((part, kind) -> {
            List<String> which = at.turns().stream()
                    .map(turn -> part.of(turn.setUp()))
                    .filter(one -> !one.isBlank())
                    .distinct()
                    .toList();
            if (!which.isEmpty()) {
                tools.add(new GatherTool(kind, which));
            }
        });
        return tools;
    }

    private List<WholeCheck> checks(BatchId id, AtWork at, ViewWriter writer) {
        List<WholeCheck> checks = new ArrayList<>();
        Planned planned = at.planned();
        List<String> missing = planned.toCome().stream()
                .filter(Need::isShort)
                .map(need -> need.supply().name())
                .distinct()
                .toList();
        checks.add(
                missing.isEmpty()
                        ? new WholeCheck(true, "All material is there.")
                        : new WholeCheck(false, "Not enough is free of " + String.join(", ", missing) + "."));
        List<String> lacks = orders.lacks(planned);
        if (lacks.isEmpty()) {
            checks.add(new WholeCheck(
                    true, "Needles, feet and machines are there as far as you have said what you have."));
        }
        lacks.forEach(lack -> checks.add(new WholeCheck(false, lack)));
        List<FindingView> licences = reading.licences(id);
        if (licences.isEmpty()) {
            checks.add(
                    new WholeCheck(true, "The patterns may be sewn for sale in this number, as far as you have said."));
        }
        licences.forEach(finding -> checks.add(new WholeCheck(false, finding.sentence())));
        planned.lines().stream()
                .filter(line -> line.chosen().open() > 0)
                .forEach(line -> checks.add(enough(line, planned.lines().size() > 1, writer)));
        checks.sort(Comparator.comparing(WholeCheck::ok));
        return checks;
    }

    private WholeCheck enough(PlannedLine line, boolean several, ViewWriter writer) {
        int still = Math.max(
                1, line.chosen().wanted() - line.chosen().good() - line.chosen().seconds());
        BigDecimal chance =
                starting.chance(line.chosen().designId(), still, line.chosen().open());
        String of = several ? " of line " + line.number() : "";
        boolean ok = chance.compareTo(LIKELY) >= 0;
        return new WholeCheck(
                ok,
                "With " + line.chosen().open() + " under way " + still + of + " come out well with "
                        + writer.percent(chance.setScale(3, RoundingMode.HALF_UP))
                        + (ok ? "." : ": begin more, if you can."));
    }
}
