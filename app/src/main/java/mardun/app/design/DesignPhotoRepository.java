package mardun.app.design;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mardun.app.id.DesignId;
import org.springframework.data.jpa.repository.JpaRepository;

interface DesignPhotoRepository extends JpaRepository<DesignPhoto, Long> {

    List<DesignPhoto> findByDesignIdInOrderById(Collection<DesignId> designIds);

    Optional<DesignPhoto> findByIdAndDesignId(long id, DesignId designId);
}
