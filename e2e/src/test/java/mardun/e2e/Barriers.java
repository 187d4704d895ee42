package mardun.e2e;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/** What keeps people out of a page, as far as axe knows. */
final class Barriers {

    private static final String AXE = axe();

    private Barriers() {}

    /** Only what is wrong comes back from the page: all that axe looked at would be some megabytes for each screen. */
    static List<String> on(Page page) {
        page.evaluate(AXE);
        Object found = page.evaluate("""
                () => axe
                  .run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'], resultTypes: ['violations'] })
                  .then((all) => all.violations.map((rule) => rule.id + ': ' + rule.nodes[0].html))""");
        return Stream.concat(((List<?>) found).stream(), beyond(page).stream())
                .map(String::valueOf)
                .toList();
    }

    /** What can only be touched once the whole page is pushed aside: tables may be wider than a phone, and scroll by themselves. */
    private static List<?> beyond(Page page) {
        return (List<?>) page.evaluate("""
                () => {
                  const fits = (one) => one.getBoundingClientRect().right <= innerWidth + 1;
                  const scrolls = (one) =>
                    !['MAIN', 'BODY', 'HTML'].includes(one.tagName) && /auto|scroll/.test(getComputedStyle(one).overflowX);
                  const isIn = (one) => one && (scrolls(one) ? fits(one) : isIn(one.parentElement));
                  return [...document.querySelectorAll('input, select, textarea, button, a')]
                    .filter((one) => one.getBoundingClientRect().width > 1 && !fits(one) && !isIn(one.parentElement))
                    .map((one) => 'beyond the edge: ' + one.outerHTML.slice(0, 200));
                }""");
    }

    private static String axe() {
        try (InputStream script = AxeBuilder.class.getResourceAsStream("/axe.min.js")) {
            return new String(Objects.requireNonNull(script).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }
}
