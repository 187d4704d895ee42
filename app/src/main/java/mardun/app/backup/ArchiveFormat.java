package mardun.app.backup;

import java.util.List;
import java.util.Map;

/** What stands in an archive: a manifest, a text file for each table with a row as JSON on each line, and the pictures. */
final class ArchiveFormat {

    static final String MANIFEST = "manifest.json";
    static final String TABLES = "tables/";
    static final String TABLE_ENDING = ".jsonl";
    static final String PICTURES = "pictures/";

    /** Of the archive itself; what stands in the tables follows from the schema's version. */
    static final int FORMAT = 1;

    static final String KIND = "mardun archive";

    private ArchiveFormat() {}

    /**
     * What an archive holds.
     *
     * @param kind tells it from other files
     * @param schema the number of the last migration of the workroom that it is of
     * @param madeAt when, as an instant
     * @param tables in an order in which each row comes after those that it refers to
     */
    record Manifest(
            String kind, int format, int schema, String madeAt, List<TablePart> tables, List<PicturePart> pictures) {}

    /**
     * A table.
     *
     * @param columns its columns with the database's types
     * @param sha256 of its file
     */
    record TablePart(String name, Map<String, String> columns, long rows, String sha256) {}

    record PicturePart(String name, long bytes, String sha256) {}
}
