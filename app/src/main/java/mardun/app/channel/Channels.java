package mardun.app.channel;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import mardun.app.id.ChannelId;
import mardun.app.problem.RefusedException;
import mardun.core.pricing.Channel;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the maker's ways of selling, with the terms that each had. */
@Component
public class Channels {

    private final StoredChannelRepository channels;
    private final FormerTermsRepository former;
    private final Clock clock;

    Channels(StoredChannelRepository channels, FormerTermsRepository former, Clock clock) {
        this.channels = channels;
        this.former = former;
        this.clock = clock;
    }

    /** Terms that held until a moment. */
    public record Former(Instant until, TermsDocument terms) {}

    /** All of them in the order in which they were entered. */
    @Transactional(readOnly = true)
    public List<KeptChannel> all() {
        return channels.findAllByOrderById().stream().map(StoredChannel::kept).toList();
    }

    /**
     * One of them.
     *
     * @throws RefusedException if there is none
     */
    @Transactional(readOnly = true)
    public KeptChannel get(ChannelId id) {
        return find(id).kept();
    }

    /** The one of a name, however it is written. */
    @Transactional(readOnly = true)
    public Optional<KeptChannel> named(String name) {
        return channels.findByNameIgnoreCase(name).map(StoredChannel::kept);
    }

    /** The terms that a channel had, the last first. */
    @Transactional(readOnly = true)
    public List<Former> former(ChannelId id) {
        return former.findByChannelIdOrderByHeldUntilDesc(id).stream()
                .map(one -> new Former(one.heldUntil(), one.terms()))
                .toList();
    }

    @Transactional
    public KeptChannel add(String name, Channel.Kind kind, TermsDocument terms) {
        return channels.saveAndFlush(new StoredChannel(name, kind, terms)).kept();
    }

    /** Other terms from now on; those that held are kept. */
    @Transactional
    public KeptChannel change(ChannelId id, String name, Channel.Kind kind, TermsDocument terms) {
        StoredChannel channel = find(id);
        if (!terms.equals(channel.terms())) {
            former.save(new FormerTerms(id, clock.instant(), channel.terms()));
        }
        channel.enter(name, kind, terms);
        return channels.saveAndFlush(channel).kept();
    }

    @Transactional
    public KeptChannel putAway(ChannelId id, boolean putAway) {
        StoredChannel channel = find(id);
        channel.putAway(putAway);
        return channels.saveAndFlush(channel).kept();
    }

    private StoredChannel find(ChannelId id) {
        return channels.findById(id.value())
                .orElseThrow(() -> RefusedException.missing("There is no such channel, or no longer."));
    }
}
