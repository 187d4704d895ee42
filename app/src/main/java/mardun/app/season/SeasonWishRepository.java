package mardun.app.season;

import org.springframework.data.jpa.repository.JpaRepository;

interface SeasonWishRepository extends JpaRepository<SeasonWish, Integer> {}
