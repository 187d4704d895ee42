package mardun.app.exchange;

import jakarta.validation.ConstraintViolation;
import jakarta.validation.Validator;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mardun.app.backup.BeforeImport;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignDocument.SlotRow;
import mardun.app.design.DesignPhotos;
import mardun.app.design.DesignService;
import mardun.app.design.DesignViews.DesignName;
import mardun.app.exchange.ExchangeViews.DesignBook;
import mardun.app.exchange.ExchangeViews.DesignFile;
import mardun.app.exchange.ExchangeViews.FilePhoto;
import mardun.app.exchange.ExchangeViews.ImportedDesign;
import mardun.app.exchange.ExchangeViews.ImportedDesigns;
import mardun.app.exchange.ExchangeViews.MaterialDescription;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.material.ShelfMaterial;
import mardun.app.picture.Pictures;
import mardun.app.problem.FieldProblem;
import mardun.app.problem.RefusedException;
import mardun.app.request.Fingerprint;
import mardun.app.request.OnceOnly;
import mardun.app.request.RequestJson;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes designs into files and takes them in: all of a file, or nothing with the place and the reason. */
@Service
class DesignExchange {

    static final String DESIGN = "mardun design";
    static final String BOOK = "mardun design book";
    static final int FORMAT = 4;
    static final int MOST_BYTES = 10_000_000;

    private static final int MOST_DESIGNS = 500;
    private static final int MOST_PHOTOS = 40;

    /** What names something of one workroom, and means nothing in another one. */
    private static final Set<String> OWN = Set.of("materialId", "threadId", "bobbinId", "machine");

    private final DesignService designs;
    private final DesignPhotos photos;
    private final Pictures pictures;
    private final MaterialService materials;
    private final OnceOnly onceOnly;
    private final BeforeImport before;
    private final JsonMapper json;
    private final Validator validator;

    DesignExchange(
            DesignService designs,
            DesignPhotos photos,
            Pictures pictures,
            MaterialService materials,
            OnceOnly onceOnly,
            BeforeImport before,
            RequestJson json,
            Validator validator) {
        this.designs = designs;
        this.photos = photos;
        this.pictures = pictures;
        this.materials = materials;
        this.onceOnly = onceOnly;
        this.before = before;
        this.json = json.mapper();
        this.validator = validator;
    }

    /** A design as a file. */
    @Transactional(readOnly = true)
    public String design(DesignId id) {
        return written(file(id, shelf(), null));
    }

    /**
     * Designs as one file, by name.
     *
     * @param chosen which; none for all of them
     */
    @Transactional(readOnly = true)
    public String book(Set<DesignId> chosen) {
        Map<Long, ShelfMaterial> shelf = shelf();
        return written(new DesignBook(
                BOOK,
                FORMAT,
                chosen(chosen).stream().map(id -> file(id, shelf, null)).toList()));
    }

    /** The designs that are chosen, or all of them, by name. */
    private List<DesignId> chosen(Set<DesignId> chosen) {
        List<DesignId> ids = designs.names().stream()
                .filter(one -> chosen.isEmpty() || chosen.contains(one.id()))
                .sorted(Comparator.comparing(DesignName::name))
                .map(DesignName::id)
                .toList();
        if (ids.isEmpty()) {
            throw RefusedException.missing(
                    chosen.isEmpty() ? "There is no design yet." : "None of these designs is there any more.");
        }
        return ids;
    }

    /** What is written into a ZIP file: what its designs say, and the files of their photos. */
    record WithPhotos(String json, List<String> files) {}

    /**
     * Designs with their photos, by name.
     *
     * @param chosen which; none for all of them
     */
    @Transactional(readOnly = true)
    public WithPhotos withPhotos(Set<DesignId> chosen) {
        Map<Long, ShelfMaterial> shelf = shelf();
        List<String> files = new ArrayList<>();
        List<DesignFile> book = new ArrayList<>();
        for (DesignId id : chosen(chosen)) {
            List<DesignPhotos.PhotoFile> its = photos.files(id);
            its.forEach(photo -> files.add(photo.file()));
            book.add(file(
                    id,
                    shelf,
                    its.stream()
                            .map(photo -> new FilePhoto(DesignArchive.PHOTOS + photo.file(), photo.cloth()))
                            .toList()));
        }
        return new WithPhotos(written(new DesignBook(BOOK, FORMAT, book)), files);
    }

    byte[] photo(String file) {
        return pictures.bytes(file);
    }

    private String written(Object file) {
        return json.writerWithDefaultPrettyPrinter().writeValueAsString(file);
    }

    private Map<Long, ShelfMaterial> shelf() {
        return materials.onShelf().stream()
                .collect(Collectors.toMap(material -> material.id().value(), material -> material));
    }

    private DesignFile file(DesignId id, Map<Long, ShelfMaterial> shelf, @Nullable List<FilePhoto> withPhotos) {
        DesignDocument document = designs.document(id);
        Map<String, MaterialDescription> described = new LinkedHashMap<>();
        for (SlotRow slot : document.slots()) {
            Optional.ofNullable(slot.materialId())
                    .map(material -> shelf.get(material.value()))
                    .ifPresent(material -> described.put(
                            slot.key(), new MaterialDescription(material.name(), material.kind(), material.colour())));
        }
        JsonNode plain = withoutOwn(json.valueToTree(document));
        return new DesignFile(DESIGN, FORMAT, json.treeToValue(plain, DesignDocument.class), described, withPhotos);
    }

    /** The same without what belongs to one workroom alone. */
    private static JsonNode withoutOwn(JsonNode node) {
        if (node instanceof ObjectNode object) {
            object.remove(OWN);
            object.forEach(DesignExchange::withoutOwn);
        } else if (node instanceof ArrayNode array) {
            array.forEach(DesignExchange::withoutOwn);
        }
        return node;
    }

    /** A file as it was sent, with the name that a single design gets instead of its own; empty for its own. */
    private record Sent(String mark, String name) {}

    /**
     * Takes the designs of a file in.
     *
     * @param name what a single design is to be called; empty for what it is called in the file
     * @throws RefusedException with the place in the file and the reason; nothing is stored then
     */
    ImportedDesigns take(UUID requestId, SentFile sent, String name) throws IOException {
        if (!DesignArchive.isOne(sent.path())) {
            return take(requestId, sent.bytes(MOST_BYTES), name, Map.of()).designs();
        }
        Map<String, String> kept = new LinkedHashMap<>();
        try (DesignArchive archive = DesignArchive.open(sent.path())) {
            byte[] json = archive.designs();
            List<DesignFile> files = read(json, name.strip());
            for (String path : named(files, archive.photos())) {
                kept.put(path, pictures.keep(archive.photo(path)));
            }
            Taken taken = take(requestId, json, name, kept);
            kept.values().stream().filter(file -> !taken.shown().contains(file)).forEach(pictures::forget);
            return taken.designs();
        } catch (RuntimeException refused) {
            kept.values().forEach(pictures::forget);
            throw refused;
        }
    }

    /** The photos that designs name, all of which have to be in the file. */
    private static Set<String> named(List<DesignFile> files, Set<String> there) {
        Set<String> named = new LinkedHashSet<>();
        for (DesignFile file : files) {
            List<FilePhoto> its = Optional.ofNullable(file.photos()).orElse(List.of());
            if (its.size() > MOST_PHOTOS) {
                throw RefusedException.conflict("“" + file.design().name() + "” has " + its.size()
                        + " photos, and a design has at most " + MOST_PHOTOS + ". Nothing was taken in.");
            }
            for (FilePhoto photo : its) {
                if (!there.contains(photo.file())) {
                    throw RefusedException.conflict("“" + file.design().name()
                            + "” names a photo that isn't in the file. Nothing was taken in.");
                }
                named.add(photo.file());
            }
        }
        return named;
    }

    /**
     * What was taken in.
     *
     * @param shown the photos that designs show now
     */
    private record Taken(ImportedDesigns designs, Set<String> shown) {}

    /**
     * Takes designs in.
     *
     * @param kept the photos that were kept of the file, by their paths in it
     */
    private Taken take(UUID requestId, byte[] bytes, String name, Map<String, String> kept) {
        if (bytes.length > MOST_BYTES) {
            throw RefusedException.conflict("The file is larger than " + MOST_BYTES / 1_000_000 + " MB.");
        }
        List<DesignFile> files = read(bytes, name.strip());
        if (clashes(files).isEmpty()) {
            before.keep();
        }
        List<ImportedDesign> taken = new ArrayList<>();
        List<String> unmatched = new ArrayList<>();
        Set<String> shown = new HashSet<>();
        Map<String, ShelfMaterial> byName = materials.byName();
        onceOnly.make(requestId, "design file", new Sent(Fingerprint.of("", bytes), name), () -> {
            refuseClashes(files);
            for (DesignFile file : files) {
                DesignId id = store(file, files.size() > 1, byName, unmatched);
                shown.addAll(show(id, file, kept, byName, unmatched));
                taken.add(new ImportedDesign(id, file.design().name()));
            }
            return taken.get(0).id().value();
        });
        return new Taken(taken.isEmpty() ? broughtBefore(files) : new ImportedDesigns(taken, unmatched), shown);
    }

    /** Gives a design its photos: each in its cloth, and one whose cloth isn't on this shelf in whatever cloth. */
    private Set<String> show(
            DesignId id,
            DesignFile file,
            Map<String, String> kept,
            Map<String, ShelfMaterial> byName,
            List<String> unmatched) {
        Map<Optional<MaterialId>, String> byCloth = new LinkedHashMap<>();
        for (FilePhoto photo : Optional.ofNullable(file.photos()).orElse(List.of())) {
            Optional<MaterialId> cloth = Optional.ofNullable(
                            byName.get(photo.cloth().toLowerCase(Locale.ROOT)))
                    .map(ShelfMaterial::id);
            String its = kept.get(photo.file());
            if (its != null && byCloth.putIfAbsent(cloth, its) != null) {
                unmatched.add(file.design().name() + ", photo: " + photo.cloth());
            }
        }
        byCloth.forEach((cloth, its) -> photos.add(id, cloth.orElse(null), its));
        return Set.copyOf(byCloth.values());
    }

    /** Stores a design; of several, a refusal says which one it is about. */
    private DesignId store(
            DesignFile file, boolean isOneOfSeveral, Map<String, ShelfMaterial> byName, List<String> unmatched) {
        try {
            designs.checkLimits(file.design());
            return designs.store(matched(file, byName, unmatched));
        } catch (RefusedException refused) {
            throw isOneOfSeveral
                    ? RefusedException.conflict("“" + file.design().name() + "”: " + refused.getMessage())
                    : refused;
        }
    }

    /** What the same request brought before. */
    private ImportedDesigns broughtBefore(List<DesignFile> files) {
        Set<String> names = files.stream().map(file -> file.design().name()).collect(Collectors.toSet());
        return new ImportedDesigns(
                designs.names().stream()
                        .filter(one -> names.contains(one.name()))
                        .map(one -> new ImportedDesign(one.id(), one.name()))
                        .toList(),
                List.of());
    }

    private List<DesignFile> read(byte[] bytes, String name) {
        JsonNode tree;
        try {
            tree = json.readTree(bytes);
        } catch (JacksonException unread) {
            throw RefusedException.conflict("This is no design of Mardun: it can't be read as JSON at line "
                    + unread.getLocation().getLineNr() + ".");
        }
        String kind = tree.path("kind").asString("");
        int format = tree.path("format").asInt(0);
        if (!kind.equals(DESIGN) && !kind.equals(BOOK)) {
            throw RefusedException.conflict(
                    "This is no design of Mardun: its kind is “" + kind + "”, and would be “" + DESIGN + "”.");
        }
        if (format < 1 || format > FORMAT) {
            throw RefusedException.conflict("The file is of format " + format + ", and this Mardun reads formats up to "
                    + FORMAT + ". Take it in with the one that wrote it.");
        }
        List<DesignFile> files = kind.equals(DESIGN) ? List.of(value(tree, "", name)) : book(tree.path("designs"));
        return files;
    }

    private List<DesignFile> book(JsonNode inside) {
        if (!inside.isArray() || inside.isEmpty() || inside.size() > MOST_DESIGNS) {
            throw RefusedException.conflict("At designs: a book holds between one and " + MOST_DESIGNS + " designs.");
        }
        List<DesignFile> files = new ArrayList<>();
        for (int i = 0; i < inside.size(); i++) {
            files.add(value(inside.get(i), "designs[" + i + "].", ""));
        }
        return files;
    }

    private DesignFile value(JsonNode tree, String place, String name) {
        withoutOwn(tree);
        DesignFile file;
        try {
            file = json.readerFor(DesignFile.class)
                    .with(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .readValue(tree);
        } catch (DatabindException unfit) {
            throw RefusedException.conflict(
                    "At " + place + path(unfit) + ": " + reason(unfit) + " Nothing was taken in.");
        }
        if (file.design() == null) {
            throw RefusedException.conflict("At " + place + "design: there is nothing. Nothing was taken in.");
        }
        DesignDocument named = name.isEmpty() ? file.design() : file.design().named(name);
        validator.validate(named).stream()
                .min(Comparator.comparing((ConstraintViolation<DesignDocument> one) ->
                        one.getPropertyPath().toString()))
                .ifPresent(one -> {
                    throw RefusedException.conflict("At " + place + "design." + one.getPropertyPath() + ": "
                            + one.getMessage() + ". Nothing was taken in.");
                });
        return new DesignFile(
                file.kind(),
                file.format(),
                named,
                file.materials() == null ? Map.of() : file.materials(),
                file.photos());
    }

    private static String path(DatabindException unfit) {
        return unfit.getPath().stream()
                .map(step ->
                        step.getPropertyName() == null ? "[" + step.getIndex() + "]" : "." + step.getPropertyName())
                .collect(Collectors.joining())
                .replaceFirst("^\\.", "");
    }

    private static String reason(DatabindException unfit) {
        if (unfit instanceof UnrecognizedPropertyException) {
            return "no design says anything by this name.";
        }
        if (unfit instanceof InvalidFormatException wrong) {
            Class<?> wanted = wrong.getTargetType();
            return "“" + wrong.getValue() + "” can't be read here"
                    + (wanted != null && wanted.isEnum()
                            ? "; it would be one of " + String.join(", ", words(wanted)) + "."
                            : ".");
        }
        return unfit.getOriginalMessage().startsWith("Cannot map `null`")
                ? "it is missing."
                : "this isn't what a design has here.";
    }

    private static List<String> words(Class<?> wanted) {
        return Arrays.stream(wanted.getEnumConstants()).map(Object::toString).toList();
    }

    /** The names of a file that are taken. */
    private List<String> clashes(List<DesignFile> files) {
        Set<String> there = designs.names().stream()
                .map(one -> one.name().toLowerCase(Locale.ROOT))
                .collect(Collectors.toSet());
        return files.stream()
                .map(file -> file.design().name())
                .filter(one -> one != null && there.contains(one.toLowerCase(Locale.ROOT)))
                .toList();
    }

    /** Names that are taken are all told at once, so that one can decide which to call otherwise. */
    private void refuseClashes(List<DesignFile> files) {
        List<String> clashes = clashes(files);
        if (!clashes.isEmpty()) {
            throw RefusedException.fields(List.of(new FieldProblem(
                    "name",
                    clashes.get(0),
                    clashes.size() == 1
                            ? "There is a design called “" + clashes.get(0) + "” already. Give it another name."
                            : "There are designs of these names already: “" + String.join("”, “", clashes)
                                    + "”. Take them in one by one, under other names.")));
        }
    }

    /** Materials of the file's names and kinds fill the slots; of others it is told what they are called. */
    private static DesignDocument matched(DesignFile file, Map<String, ShelfMaterial> byName, List<String> unmatched) {
        DesignDocument design = file.design();
        List<SlotRow> slots = design.slots().stream()
                .map(slot -> {
                    MaterialDescription wanted = file.materials().get(slot.key());
                    if (wanted == null || wanted.name() == null) {
                        return slot;
                    }
                    ShelfMaterial found = byName.get(wanted.name().toLowerCase(Locale.ROOT));
                    if (found == null || found.kind() != wanted.kind()) {
                        unmatched.add(design.name() + ", " + slot.label() + ": " + wanted.name());
                        return slot;
                    }
                    return slot.filledWith(found.id());
                })
                .toList();
        return design.filled(slots);
    }
}
