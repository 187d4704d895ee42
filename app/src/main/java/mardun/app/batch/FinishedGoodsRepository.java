package mardun.app.batch;

import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;

interface FinishedGoodsRepository extends JpaRepository<FinishedGoods, Long> {

    Page<FinishedGoods> findAllByOrderByFinishedOnDescIdDesc(Pageable page);
}
