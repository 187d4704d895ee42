package mardun.app.goods;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface GoodsPlaceRepository extends JpaRepository<GoodsPlace, Long> {

    /** Where some goods are, and how many of them. */
    @Query("select p.goodsId as goodsId, p.place as place, p.units as units from GoodsPlace p"
            + " where p.goodsId in :goodsIds and p.units <> 0 order by p.place")
    List<AtPlace> places(Collection<Long> goodsIds);

    /** How many of each lot are left. */
    @Query("""
            select new mardun.app.goods.GoodsMovementRepository$Units(p.goodsId, sum(p.units))
            from GoodsPlace p where p.units > 0 group by p.goodsId""")
    List<GoodsMovementRepository.Units> left();

    @Query("select p.units from GoodsPlace p where p.goodsId = :goodsId and p.place = :place")
    Optional<Integer> units(long goodsId, String place);

    /** Which of some goods are at a place, and how many of them. */
    @Query("select p.goodsId as goodsId, p.place as place, p.units as units from GoodsPlace p"
            + " where p.goodsId in :goodsIds and p.place = :place and p.units <> 0")
    List<AtPlace> at(Collection<Long> goodsIds, String place);

    /** Adds to what is at a place; answers 0 where none of the lot ever was there. */
    @Modifying(flushAutomatically = true)
    @Query("update GoodsPlace p set p.units = p.units + :change where p.goodsId = :goodsId and p.place = :place")
    int change(long goodsId, String place, int change);

    @Query("select distinct p.place from GoodsPlace p order by p.place")
    List<String> allPlaces();

    /** How many of some goods are at a place. */
    interface AtPlace {
        long getGoodsId();

        String getPlace();

        int getUnits();
    }
}
