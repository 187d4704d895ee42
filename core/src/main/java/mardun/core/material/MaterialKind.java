package mardun.core.material;

/** How a material is bought and counted. */
public enum MaterialKind {
    /** Bought by area: a length of a certain usable width. */
    CLOTH(Counting.LENGTH),
    /** Cloth bought by the sheet: felt, precuts. Each has the same size, and it never becomes a roll. */
    SHEET(Counting.PIECES),
    /** Bought by length: zip tape, webbing, cord. */
    TRIM(Counting.LENGTH),
    /** Counted: sliders, labels, snaps. */
    NOTION(Counting.PIECES),
    /** Weighed: beads, shells, wadding. */
    FILLING_BY_WEIGHT(Counting.WEIGHT),
    /** Measured out: what is sold by the litre or the cup. */
    FILLING_BY_VOLUME(Counting.VOLUME),
    /** On spools, by length; what it costs is part of the overheads of a bench hour. */
    THREAD(Counting.LENGTH),
    /** Counted: boxes, bags, tissue; what it costs is part of the channel that sells in it. */
    PACKING(Counting.PIECES);

    private final Counting counting;

    MaterialKind(Counting counting) {
        this.counting = counting;
    }

    public Counting counting() {
        return counting;
    }

    /** Whether pieces are cut from it. */
    public boolean isCloth() {
        return this == CLOTH || this == SHEET;
    }

    /** Whether it leaves the shelf when it is cut; all else leaves it when the bags are finished. */
    public boolean leavesWhenCut() {
        return isCloth();
    }
}
