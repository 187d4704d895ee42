package mardun.app.show;

import java.util.List;
import java.util.function.Function;
import org.springframework.data.domain.Page;

/** One page of a list; pages are counted from 0. */
public record PageView<T>(List<T> items, int page, int size, long total) {

    /** No list answers with more than this at once. */
    public static final int LARGEST = 500;

    /** No list has a page beyond this; the places of its lines can still be counted. */
    public static final int LAST = 1_000_000;

    public static <S, T> PageView<T> of(Page<S> page, Function<S, T> view) {
        return new PageView<>(page.map(view).getContent(), page.getNumber(), page.getSize(), page.getTotalElements());
    }

    /**
     * A page of what is at hand as a whole.
     *
     * @param size asked for; no more than {@link #LARGEST} are shown
     * @param views shows what is on the page
     */
    public static <S, T> PageView<T> ofAll(List<S> all, int page, int size, Function<List<S>, List<T>> views) {
        int most = Math.min(size, LARGEST);
        List<S> some = all.stream().skip((long) page * most).limit(most).toList();
        return new PageView<>(views.apply(some), page, most, all.size());
    }
}
