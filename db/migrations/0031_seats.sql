ALTER TABLE "shot" DROP CONSTRAINT "shot_academy_id_player_id_player_academy_id_player_id_fk";
