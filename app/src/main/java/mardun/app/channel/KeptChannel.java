package mardun.app.channel;

import mardun.app.id.ChannelId;
import mardun.core.pricing.Channel;
import org.joda.money.Money;

/**
 * A way of selling, on the terms that hold now.
 *
 * @param putAway nothing is sold there any more
 */
public record KeptChannel(
        ChannelId id, long version, String name, Channel.Kind kind, TermsDocument terms, boolean putAway) {

    /**
     * The channel as the core takes it.
     *
     * @param hourlyRate at which packing is reckoned
     */
    public Channel channel(Money hourlyRate) {
        return new Channel(name, kind, terms.terms(hourlyRate));
    }
}
