package mardun.app.upkeep;

import mardun.core.making.Upkeep;
import org.springframework.data.jpa.repository.JpaRepository;

interface UpkeepLimitRepository extends JpaRepository<UpkeepLimit, Upkeep.Kind> {}
