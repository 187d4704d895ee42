package mardun.app.care;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mardun.app.care.CareViews.PartPlace;
import mardun.app.care.CareViews.ShippedPart;
import mardun.app.care.CareViews.ShippedParts;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What ships with the application, read from the lists in CycloneDX that are made when it is built. */
@Component
class Parts {

    private static final String OWN = "mardun";
    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    /** The list of one place. */
    static Resource list(PartPlace place) {
        return new ClassPathResource(
                place == PartPlace.SERVER ? "META-INF/sbom/application.cdx.json" : "static/parts.cdx.json");
    }

    ShippedParts shipped() throws IOException {
        List<ShippedPart> all = new ArrayList<>();
        String version = "";
        for (PartPlace place : PartPlace.values()) {
            try (InputStream in = list(place).getInputStream()) {
                JsonNode read = MAPPER.readTree(in);
                version = read.at("/metadata/component/version").asString(version);
                for (JsonNode one : read.path("components")) {
                    if (!one.path("group").asString("").equals(OWN)) {
                        all.add(part(one, place));
                    }
                }
            }
        }
        all.sort(Comparator.comparing(ShippedPart::name, String.CASE_INSENSITIVE_ORDER)
                .thenComparing(ShippedPart::version));
        return new ShippedParts(version, all);
    }

    private static ShippedPart part(JsonNode one, PartPlace place) {
        List<String> licences = new ArrayList<>();
        for (JsonNode licence : one.path("licenses")) {
            Optional.of(licence.at("/license/id").asString(""))
                    .filter(id -> !id.isEmpty())
                    .or(() -> Optional.of(licence.at("/license/name").asString(""))
                            .filter(name -> !name.isEmpty()))
                    .or(() -> Optional.of(licence.path("expression").asString("")))
                    .ifPresent(licences::add);
        }
        return new ShippedPart(
                one.get("name").asString(), one.path("version").asString(""), String.join(", ", licences), place);
    }
}
