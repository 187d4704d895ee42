package mardun.app.material;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mardun.app.id.MaterialId;
import mardun.core.material.Amount;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.jspecify.annotations.Nullable;

/** A material of the workroom: what it is and what it costs. What is on the shelf is the sum of its movements. */
@Entity
class Material {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    @Enumerated(EnumType.STRING)
    private MaterialKind kind;

    private String name;
    private String note;
    private String colour;
    private Long usableWidthNm;
    private Long sheetHeightNm;
    private boolean directional;

    @Enumerated(EnumType.STRING)
    private ClothKind clothKind;

    private long priceMinor;
    private long pricePerValue;
    private Long lowAtValue;
    private Instant createdAt;
    private String photo;
    private String words;
    private boolean putAway;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = PrintMarks.InColumn.class)
    private PrintMarks printMarks;

    @Embedded
    private Facts facts;

    protected Material() {}

    Material(MaterialKind kind, Instant createdAt) {
        this.kind = kind;
        this.createdAt = createdAt;
    }

    /** What a form says about a material, read and checked. */
    record Entered(
            String name,
            String note,
            String colour,
            Optional<Length> usableWidth,
            Optional<Length> sheetHeight,
            boolean directional,
            Optional<ClothKind> cloth,
            long priceMinor,
            Amount pricePer,
            Optional<Amount> lowAt,
            Facts facts) {}

    void enter(Entered entered) {
        name = entered.name();
        note = entered.note();
        colour = entered.colour();
        usableWidthNm = entered.usableWidth().map(Length::nanometres).orElse(null);
        sheetHeightNm = entered.sheetHeight().map(Length::nanometres).orElse(null);
        directional = entered.directional();
        clothKind = entered.cloth().orElse(null);
        priceMinor = entered.priceMinor();
        pricePerValue = entered.pricePer().value();
        lowAtValue = entered.lowAt().map(Amount::value).orElse(null);
        facts = entered.facts();
        words = String.join(" ", name, note, facts.fibre(), facts.place()).toLowerCase(Locale.ROOT);
    }

    /** Its halves, each counted apart, or the whole. */
    List<Part> parts() {
        return parts(facts.twoPart());
    }

    static List<Part> parts(boolean twoPart) {
        return twoPart ? List.of(Part.SOCKET, Part.STUD) : List.of(Part.WHOLE);
    }

    /** What of its print pieces may have to show. */
    void mark(PrintMarks marks) {
        printMarks = marks;
    }

    PrintMarks printMarks() {
        return printMarks == null ? PrintMarks.NONE : printMarks;
    }

    void show(@Nullable String newPhoto) {
        photo = newPhoto;
    }

    /** What is put away is offered nowhere; what is there of it, and its history, stay. */
    void putAway(boolean away) {
        putAway = away;
    }

    boolean isPutAway() {
        return putAway;
    }

    Optional<String> photo() {
        return Optional.ofNullable(photo);
    }

    Facts facts() {
        return facts;
    }

    boolean hasPrice(long minor, long perValue) {
        return priceMinor == minor && pricePerValue == perValue;
    }

    MaterialId id() {
        return new MaterialId(id);
    }

    long version() {
        return version;
    }

    MaterialKind kind() {
        return kind;
    }

    String name() {
        return name;
    }

    String note() {
        return note;
    }

    String colour() {
        return colour;
    }

    Optional<Length> usableWidth() {
        return Optional.ofNullable(usableWidthNm).map(Length::new);
    }

    /** The size of a sheet, of what is bought by the sheet. */
    Optional<Extent> sheet() {
        return sheetHeightNm == null
                ? Optional.empty()
                : Optional.of(new Extent(new Length(usableWidthNm), new Length(sheetHeightNm)));
    }

    boolean isDirectional() {
        return directional;
    }

    Optional<ClothKind> cloth() {
        return Optional.ofNullable(clothKind);
    }

    long priceMinor() {
        return priceMinor;
    }

    Amount pricePer() {
        return new Amount(kind.counting(), pricePerValue);
    }

    Optional<Amount> lowAt() {
        return Optional.ofNullable(lowAtValue).map(value -> new Amount(kind.counting(), value));
    }
}
