package mardun.app.channel;

import java.util.Collection;
import java.util.List;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import org.springframework.data.jpa.repository.JpaRepository;

interface SetPriceRepository extends JpaRepository<SetPrice, Long> {

    List<SetPrice> findByChannelIdOrderById(ChannelId channelId);

    List<SetPrice> findByDesignIdInAndChannelIdOrderById(Collection<DesignId> designIds, ChannelId channelId);

    List<SetPrice> findByDesignIdAndSizeKeyAndChannelIdOrderByIdDesc(
            DesignId designId, String sizeKey, ChannelId channelId);
}
