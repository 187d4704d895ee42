package mardun.app.care;

import java.util.List;

/** What is shown of the application itself. */
final class CareViews {

    private CareViews() {}

    /** Where a part is at work. */
    enum PartPlace {
        SERVER,
        PAGE
    }

    /**
     * Something that others made and that ships with the application.
     *
     * @param licence its licences as SPDX names them, or by their own name
     */
    record ShippedPart(String name, String version, String licence, PartPlace place) {}

    record ShippedParts(String version, List<ShippedPart> parts) {}
}
