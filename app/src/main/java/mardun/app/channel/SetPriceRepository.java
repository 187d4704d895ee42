package mardun.app.channel;

import java.util.Collection;
import java.util.List;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;

interface SetPriceRepository extends JpaRepository<SetPrice, Long> {

    List<SetPrice> findByChannelIdOrderById(ChannelId channelId);

    List<SetPrice> findByClothIdNotNullOrderById();

    List<SetPrice> findByDesignIdInAndChannelIdOrderById(Collection<DesignId> designIds, ChannelId channelId);

    List<SetPrice> findByDesignIdAndSizeKeyAndChannelIdAndClothIdOrderByIdDesc(
            DesignId designId, String sizeKey, ChannelId channelId, @Nullable MaterialId clothId);
}
