package mardun.app.channel;

import mardun.app.id.ChannelId;
import mardun.core.costing.LabourRates;
import mardun.core.pricing.Channel;

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
     * @param rates at which packing and listing are reckoned
     */
    public Channel channel(LabourRates rates) {
        return new Channel(name, kind, terms.terms(rates));
    }
}
