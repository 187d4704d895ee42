package mardun.core.material;

/** What a trim or a notion is, so that a zip isn't offered where a snap is wanted. */
public enum Ware {
    ZIP_TAPE(MaterialKind.TRIM, "zip tape"),
    WEBBING(MaterialKind.TRIM, "webbing"),
    CORD(MaterialKind.TRIM, "cord"),
    RIBBON(MaterialKind.TRIM, "ribbon"),
    ELASTIC(MaterialKind.TRIM, "elastic"),
    BINDING(MaterialKind.TRIM, "binding"),
    STIFFENER(MaterialKind.TRIM, "stiffener"),
    SLIDER(MaterialKind.NOTION, "slider"),
    SNAP(MaterialKind.NOTION, "snap"),
    MAGNET(MaterialKind.NOTION, "magnetic snap"),
    RING(MaterialKind.NOTION, "ring"),
    CLIP(MaterialKind.NOTION, "clip"),
    CORD_END(MaterialKind.NOTION, "cord end"),
    LABEL(MaterialKind.NOTION, "label"),
    LOCK(MaterialKind.NOTION, "lock"),
    SOMETHING_ELSE(MaterialKind.NOTION, "something else");

    private final MaterialKind kind;
    private final String words;

    Ware(MaterialKind kind, String words) {
        this.kind = kind;
        this.words = words;
    }

    /** How it is counted: by length or by piece. */
    public MaterialKind kind() {
        return kind;
    }

    public String words() {
        return words;
    }
}
