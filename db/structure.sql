CREATE FUNCTION public.keep_a_director() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
BEGIN
  PERFORM 1 FROM studios WHERE id = OLD.studio_id FOR UPDATE;
  IF FOUND AND NOT EXISTS (SELECT 1 FROM memberships WHERE studio_id = OLD.studio_id AND role = 'director') THEN
    RAISE EXCEPTION 'studio % would have no director', OLD.studio_id USING ERRCODE = 'check_violation';
  END IF;
  RETURN NULL;
END $$;
CREATE FUNCTION public.keep_what_was_written() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
BEGIN
  IF TG_OP = 'DELETE' AND current_setting('joinchain.clearing', true) = 'on' THEN RETURN OLD; END IF;
  IF TG_OP = 'UPDATE' AND current_setting('joinchain.erasing', true) = 'on' THEN RETURN NEW; END IF;
  RAISE EXCEPTION '% is append-only', TG_TABLE_NAME;
END $$;
CREATE FUNCTION public.note_season() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  studio bigint := CASE WHEN TG_OP = 'DELETE' THEN OLD.studio_id ELSE NEW.studio_id END;
BEGIN
  IF NOT raised_already('note-' || studio) THEN
    INSERT INTO raised_seasons (studio_id) VALUES (studio);
  END IF;
  RETURN NULL;
END $$;
CREATE FUNCTION public.que_validate_tags(tags_array jsonb) RETURNS boolean
    LANGUAGE sql
    AS $$
  SELECT bool_and(
    jsonb_typeof(value) = 'string'
    AND
    char_length(value::text) <= 100
  )
  FROM jsonb_array_elements(tags_array)
$$;
CREATE TABLE public.que_jobs (
    priority smallint DEFAULT 100 NOT NULL,
    run_at timestamp with time zone DEFAULT now() NOT NULL,
    id bigint NOT NULL,
    job_class text NOT NULL,
    error_count integer DEFAULT 0 NOT NULL,
    last_error_message text,
    queue text DEFAULT 'default'::text NOT NULL,
    last_error_backtrace text,
    finished_at timestamp with time zone,
    expired_at timestamp with time zone,
    args jsonb DEFAULT '[]'::jsonb NOT NULL,
    data jsonb DEFAULT '{}'::jsonb NOT NULL,
    job_schema_version integer NOT NULL,
    kwargs jsonb DEFAULT '{}'::jsonb NOT NULL,
    CONSTRAINT error_length CHECK (((char_length(last_error_message) <= 500) AND (char_length(last_error_backtrace) <= 10000))),
    CONSTRAINT job_class_length CHECK ((char_length(
CASE job_class
    WHEN 'ActiveJob::QueueAdapters::QueAdapter::JobWrapper'::text THEN ((args -> 0) ->> 'job_class'::text)
    ELSE job_class
END) <= 200)),
    CONSTRAINT queue_length CHECK ((char_length(queue) <= 100)),
    CONSTRAINT valid_args CHECK ((jsonb_typeof(args) = 'array'::text)),
    CONSTRAINT valid_data CHECK (((jsonb_typeof(data) = 'object'::text) AND ((NOT (data ? 'tags'::text)) OR ((jsonb_typeof((data -> 'tags'::text)) = 'array'::text) AND (jsonb_array_length((data -> 'tags'::text)) <= 5) AND public.que_validate_tags((data -> 'tags'::text))))))
)
WITH (fillfactor='90');
COMMENT ON TABLE public.que_jobs IS '7';
CREATE FUNCTION public.que_determine_job_state(job public.que_jobs) RETURNS text
    LANGUAGE sql
    AS $$
  SELECT
    CASE
    WHEN job.expired_at  IS NOT NULL    THEN 'expired'
    WHEN job.finished_at IS NOT NULL    THEN 'finished'
    WHEN job.error_count > 0            THEN 'errored'
    WHEN job.run_at > CURRENT_TIMESTAMP THEN 'scheduled'
    ELSE                                     'ready'
    END
$$;
CREATE FUNCTION public.que_job_notify() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
  DECLARE
    locker_pid integer;
    sort_key json;
  BEGIN
    -- Don't do anything if the job is scheduled for a future time.
    IF NEW.run_at IS NOT NULL AND NEW.run_at > now() THEN
      RETURN null;
    END IF;
    -- Pick a locker to notify of the job's insertion, weighted by their number
    -- of workers. Should bounce pseudorandomly between lockers on each
    -- invocation, hence the md5-ordering, but still touch each one equally,
    -- hence the modulo using the job_id.
    SELECT pid
    INTO locker_pid
    FROM (
      SELECT *, last_value(row_number) OVER () + 1 AS count
      FROM (
        SELECT *, row_number() OVER () - 1 AS row_number
        FROM (
          SELECT *
          FROM public.que_lockers ql, generate_series(1, ql.worker_count) AS id
          WHERE
            listening AND
            queues @> ARRAY[NEW.queue] AND
            ql.job_schema_version = NEW.job_schema_version
          ORDER BY md5(pid::text || id::text)
        ) t1
      ) t2
    ) t3
    WHERE NEW.id % count = row_number;
    IF locker_pid IS NOT NULL THEN
      -- There's a size limit to what can be broadcast via LISTEN/NOTIFY, so
      -- rather than throw errors when someone enqueues a big job, just
      -- broadcast the most pertinent information, and let the locker query for
      -- the record after it's taken the lock. The worker will have to hit the
      -- DB in order to make sure the job is still visible anyway.
      SELECT row_to_json(t)
      INTO sort_key
      FROM (
        SELECT
          'job_available' AS message_type,
          NEW.queue       AS queue,
          NEW.priority    AS priority,
          NEW.id          AS id,
          -- Make sure we output timestamps as UTC ISO 8601
          to_char(NEW.run_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS run_at
      ) t;
      PERFORM pg_notify('que_listener_' || locker_pid::text, sort_key::text);
    END IF;
    RETURN null;
  END
$$;
CREATE FUNCTION public.que_state_notify() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
  DECLARE
    row record;
    message json;
    previous_state text;
    current_state text;
  BEGIN
    IF TG_OP = 'INSERT' THEN
      previous_state := 'nonexistent';
      current_state  := public.que_determine_job_state(NEW);
      row            := NEW;
    ELSIF TG_OP = 'DELETE' THEN
      previous_state := public.que_determine_job_state(OLD);
      current_state  := 'nonexistent';
      row            := OLD;
    ELSIF TG_OP = 'UPDATE' THEN
      previous_state := public.que_determine_job_state(OLD);
      current_state  := public.que_determine_job_state(NEW);
      -- If the state didn't change, short-circuit.
      IF previous_state = current_state THEN
        RETURN null;
      END IF;
      row := NEW;
    ELSE
      RAISE EXCEPTION 'Unrecognized TG_OP: %', TG_OP;
    END IF;
    SELECT row_to_json(t)
    INTO message
    FROM (
      SELECT
        'job_change' AS message_type,
        row.id       AS id,
        row.queue    AS queue,
        coalesce(row.data->'tags', '[]'::jsonb) AS tags,
        to_char(row.run_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS run_at,
        to_char(now()      AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS time,
        CASE row.job_class
        WHEN 'ActiveJob::QueueAdapters::QueAdapter::JobWrapper' THEN
          coalesce(
            row.args->0->>'job_class',
            'ActiveJob::QueueAdapters::QueAdapter::JobWrapper'
          )
        ELSE
          row.job_class
        END AS job_class,
        previous_state AS previous_state,
        current_state  AS current_state
    ) t;
    PERFORM pg_notify('que_state', message::text);
    RETURN null;
  END
$$;
CREATE FUNCTION public.raise_own_season() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
BEGIN
  IF NOT raised_already('note-' || NEW.id) THEN
    INSERT INTO raised_seasons (studio_id) VALUES (NEW.id);
  END IF;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_own_work() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
BEGIN
  IF raised_already('piece-' || NEW.id) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = NEW.id;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_season() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
BEGIN
  UPDATE studios SET season_version = season_version + 1 WHERE id = NEW.studio_id;
  DELETE FROM raised_seasons WHERE id = NEW.id;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_agreements() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ agreements%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := row_.piece_id;
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_asides() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  piece bigint := CASE WHEN TG_OP = 'DELETE' THEN OLD.piece_id ELSE NEW.piece_id END;
BEGIN
  IF raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_castings() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ castings%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := row_.piece_id;
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_eights() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ eights%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := (SELECT piece_id FROM sections WHERE id = row_.section_id);
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_formations() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ formations%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := row_.piece_id;
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_group_members() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ group_members%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := (SELECT piece_id FROM groups WHERE id = row_.group_id);
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_groups() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ groups%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := row_.piece_id;
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_join_facts() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ join_facts%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := row_.piece_id;
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_links() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ links%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := row_.piece_id;
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_parts() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ parts%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := (SELECT piece_id FROM sections WHERE id = row_.section_id);
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_revisions() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ revisions%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := row_.piece_id;
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_section_teachers() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  section bigint := CASE WHEN TG_OP = 'DELETE' THEN OLD.section_id ELSE NEW.section_id END;
  piece bigint := (SELECT piece_id FROM sections WHERE id = section);
BEGIN
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_sections() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ sections%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := row_.piece_id;
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_spots() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ spots%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := (SELECT piece_id FROM formations WHERE id = row_.formation_id);
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_tracks() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ tracks%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := row_.piece_id;
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_understudies() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  piece bigint := CASE WHEN TG_OP = 'DELETE' THEN OLD.piece_id ELSE NEW.piece_id END;
BEGIN
  IF raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_version_people() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ version_people%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := row_.piece_id;
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_by_versions() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  row_ versions%ROWTYPE;
  piece bigint;
BEGIN
  IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
  piece := (SELECT piece_id FROM sections WHERE id = row_.section_id);
  IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
  RETURN NULL;
END $$;
CREATE FUNCTION public.raise_work_of_studio() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE
  studio bigint := CASE WHEN TG_OP = 'DELETE' THEN OLD.studio_id ELSE NEW.studio_id END;
BEGIN
  IF raised_already('pieces-of-' || studio) THEN RETURN NULL; END IF;
  UPDATE pieces SET work_version = work_version + 1
  WHERE id IN (SELECT id FROM pieces WHERE studio_id = studio ORDER BY id FOR UPDATE);
  RETURN NULL;
END $$;
CREATE FUNCTION public.raised_already(mark text) RETURNS boolean
    LANGUAGE plpgsql
    AS $$
DECLARE
  known text := coalesce(current_setting('joinchain.raised', true), '');
  this text := format(' %s@%s ', mark, statement_timestamp());
BEGIN
  IF position(this IN known) > 0 THEN RETURN true; END IF;
  PERFORM set_config('joinchain.raised', known || this, true);
  RETURN false;
END $$;
CREATE TABLE public.absences (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    person_id bigint NOT NULL,
    from_date date NOT NULL,
    to_date date NOT NULL,
    from_minute integer,
    to_minute integer,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    habit_id bigint
);
CREATE SEQUENCE public.absences_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.absences_id_seq OWNED BY public.absences.id;
CREATE TABLE public.accounts (
    id bigint NOT NULL,
    email character varying NOT NULL,
    name character varying NOT NULL,
    password_digest character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.accounts_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.accounts_id_seq OWNED BY public.accounts.id;
CREATE TABLE public.agreements (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    join_key character varying NOT NULL,
    kind character varying NOT NULL,
    leaving_digest character varying NOT NULL,
    entering_digest character varying NOT NULL,
    words character varying DEFAULT ''::character varying NOT NULL,
    account_id bigint,
    by_name character varying NOT NULL,
    day date NOT NULL,
    created_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.agreements_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.agreements_id_seq OWNED BY public.agreements.id;
CREATE TABLE public.ar_internal_metadata (
    key character varying NOT NULL,
    value character varying,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE TABLE public.asides (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    question character varying NOT NULL,
    way character varying NOT NULL,
    account_id bigint,
    by_name character varying DEFAULT ''::character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.asides_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.asides_id_seq OWNED BY public.asides.id;
CREATE TABLE public.asks (
    id bigint NOT NULL,
    studio_id bigint,
    account_id bigint,
    whose character varying NOT NULL,
    work character varying NOT NULL,
    args jsonb DEFAULT '[]'::jsonb NOT NULL,
    same character varying NOT NULL,
    job_id bigint,
    begun_at timestamp(6) without time zone,
    ended_at timestamp(6) without time zone,
    created_at timestamp(6) without time zone DEFAULT now() NOT NULL
);
CREATE SEQUENCE public.asks_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.asks_id_seq OWNED BY public.asks.id;
CREATE TABLE public.attendance_entries (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    rehearsal_id bigint NOT NULL,
    person_id bigint,
    guest character varying,
    state character varying NOT NULL,
    minute integer NOT NULL,
    said_at bigint NOT NULL,
    by_name character varying NOT NULL,
    client_id character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    undoes character varying,
    CONSTRAINT of_somebody CHECK ((num_nonnulls(person_id, guest) = 1))
);
CREATE SEQUENCE public.attendance_entries_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.attendance_entries_id_seq OWNED BY public.attendance_entries.id;
CREATE TABLE public.attendances (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    rehearsal_id bigint NOT NULL,
    person_id bigint NOT NULL,
    present boolean NOT NULL,
    by_name character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    state character varying NOT NULL,
    minute integer
);
CREATE SEQUENCE public.attendances_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.attendances_id_seq OWNED BY public.attendances.id;
CREATE TABLE public.calendar_links (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    person_id bigint,
    piece_id bigint,
    room_id bigint,
    token_digest character varying NOT NULL,
    revoked_at timestamp(6) without time zone,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    person_link_id bigint,
    CONSTRAINT of_one_thing CHECK ((num_nonnulls(person_id, piece_id, room_id) = 1))
);
CREATE SEQUENCE public.calendar_links_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.calendar_links_id_seq OWNED BY public.calendar_links.id;
CREATE TABLE public.castings (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    person_id bigint NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.castings_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.castings_id_seq OWNED BY public.castings.id;
CREATE TABLE public.clip_people (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    upload_id bigint NOT NULL,
    person_id bigint NOT NULL,
    created_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.clip_people_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.clip_people_id_seq OWNED BY public.clip_people.id;
CREATE TABLE public.consents (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    person_id bigint NOT NULL,
    by_name character varying NOT NULL,
    given_on date NOT NULL,
    noted_by character varying NOT NULL,
    withdrawn_at timestamp(6) without time zone,
    withdrawn_by character varying,
    created_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.consents_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.consents_id_seq OWNED BY public.consents.id;
CREATE TABLE public.drill_people (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    drill_id bigint NOT NULL,
    person_id bigint NOT NULL,
    created_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.drill_people_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.drill_people_id_seq OWNED BY public.drill_people.id;
CREATE TABLE public.drills (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    from_link_id bigint NOT NULL,
    from_row integer DEFAULT 1 NOT NULL,
    to_link_id bigint NOT NULL,
    to_row integer DEFAULT 1 NOT NULL,
    repetitions integer NOT NULL,
    minutes integer NOT NULL,
    because character varying DEFAULT ''::character varying NOT NULL,
    rehearsal_id bigint,
    slot_id bigint,
    by_name character varying NOT NULL,
    done_at timestamp(6) without time zone,
    dropped_at timestamp(6) without time zone,
    created_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.drills_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.drills_id_seq OWNED BY public.drills.id;
CREATE TABLE public.eights (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    section_id bigint NOT NULL,
    "position" integer NOT NULL,
    counts integer DEFAULT 8 NOT NULL,
    text text DEFAULT ''::text NOT NULL,
    cue character varying DEFAULT ''::character varying NOT NULL,
    name character varying DEFAULT ''::character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.eights_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.eights_id_seq OWNED BY public.eights.id;
CREATE TABLE public.evening_steps (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    rehearsal_id bigint NOT NULL,
    slot_id bigint NOT NULL,
    kind character varying NOT NULL,
    minute integer NOT NULL,
    minutes integer,
    with_slot_id bigint,
    said_at bigint NOT NULL,
    by_name character varying NOT NULL,
    client_id character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    undoes character varying
);
CREATE SEQUENCE public.evening_steps_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.evening_steps_id_seq OWNED BY public.evening_steps.id;
CREATE TABLE public.formations (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    link_id bigint NOT NULL,
    moment character varying NOT NULL,
    count integer,
    lock_version integer DEFAULT 0 NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.formations_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.formations_id_seq OWNED BY public.formations.id;
CREATE TABLE public.givings (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    note_id bigint NOT NULL,
    rehearsal_id bigint,
    by_name character varying NOT NULL,
    taken_back_at timestamp(6) without time zone,
    created_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.givings_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.givings_id_seq OWNED BY public.givings.id;
CREATE TABLE public.group_members (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    group_id bigint NOT NULL,
    person_id bigint NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.group_members_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.group_members_id_seq OWNED BY public.group_members.id;
CREATE TABLE public.groups (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    name character varying NOT NULL,
    number integer NOT NULL,
    leader_id bigint,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.groups_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.groups_id_seq OWNED BY public.groups.id;
CREATE TABLE public.habits (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    person_id bigint NOT NULL,
    weekday integer NOT NULL,
    from_minute integer,
    to_minute integer,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.habits_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.habits_id_seq OWNED BY public.habits.id;
CREATE TABLE public.hand_overs (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    person_id bigint NOT NULL,
    membership_id bigint NOT NULL,
    until_day date NOT NULL,
    by_name character varying NOT NULL,
    ended_at timestamp(6) without time zone,
    created_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.hand_overs_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.hand_overs_id_seq OWNED BY public.hand_overs.id;
CREATE TABLE public.heartbeats (
    id bigint NOT NULL,
    name character varying NOT NULL,
    beat_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.heartbeats_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.heartbeats_id_seq OWNED BY public.heartbeats.id;
CREATE TABLE public.invitations (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    email character varying NOT NULL,
    role character varying NOT NULL,
    person_id bigint,
    token_digest character varying NOT NULL,
    expires_at timestamp(6) without time zone NOT NULL,
    accepted_at timestamp(6) without time zone,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.invitations_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.invitations_id_seq OWNED BY public.invitations.id;
CREATE TABLE public.join_facts (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    join_key character varying NOT NULL,
    owner_id bigint,
    note character varying DEFAULT ''::character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.join_facts_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.join_facts_id_seq OWNED BY public.join_facts.id;
CREATE TABLE public.learning_states (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    person_id bigint NOT NULL,
    item_key character varying NOT NULL,
    rung integer DEFAULT 0 NOT NULL,
    days integer DEFAULT 0 NOT NULL,
    last_danced_on date,
    signed_off boolean DEFAULT false NOT NULL,
    changed_since boolean DEFAULT false NOT NULL,
    track character varying DEFAULT 'own'::character varying NOT NULL,
    layer character varying,
    covers_person_id bigint,
    clean integer DEFAULT 0 NOT NULL,
    reviewed boolean DEFAULT false NOT NULL,
    reported integer DEFAULT 0 NOT NULL
);
CREATE SEQUENCE public.learning_states_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.learning_states_id_seq OWNED BY public.learning_states.id;
CREATE TABLE public.ledger_entries (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    person_id bigint NOT NULL,
    item_key character varying NOT NULL,
    kind character varying NOT NULL,
    rung integer DEFAULT 0 NOT NULL,
    undoes_id bigint,
    account_id bigint,
    by_name character varying NOT NULL,
    client_id character varying,
    note character varying DEFAULT ''::character varying NOT NULL,
    day date NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    seq bigint NOT NULL,
    track character varying DEFAULT 'own'::character varying NOT NULL,
    layer character varying,
    covers_person_id bigint
);
CREATE SEQUENCE public.ledger_entries_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.ledger_entries_id_seq OWNED BY public.ledger_entries.id;
CREATE TABLE public.links (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    section_id bigint NOT NULL,
    "position" integer NOT NULL,
    mirrored boolean DEFAULT false NOT NULL,
    changes_made jsonb DEFAULT '{}'::jsonb NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    called text DEFAULT ''::text NOT NULL
);
CREATE SEQUENCE public.links_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.links_id_seq OWNED BY public.links.id;
CREATE TABLE public.mails (
    id bigint NOT NULL,
    studio_id bigint,
    recipient character varying NOT NULL,
    subject character varying NOT NULL,
    body text NOT NULL,
    delivered_at timestamp(6) without time zone,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    membership_id bigint,
    topic character varying,
    held boolean DEFAULT false NOT NULL,
    gathered_at timestamp(6) without time zone,
    send_after timestamp(6) without time zone,
    calendar text
);
CREATE SEQUENCE public.mails_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.mails_id_seq OWNED BY public.mails.id;
CREATE TABLE public.memberships (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    account_id bigint NOT NULL,
    role character varying NOT NULL,
    person_id bigint,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    mail_token character varying DEFAULT replace((gen_random_uuid())::text, '-'::text, ''::text) NOT NULL,
    mail_ways jsonb DEFAULT '{}'::jsonb NOT NULL
);
CREATE SEQUENCE public.memberships_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.memberships_id_seq OWNED BY public.memberships.id;
CREATE TABLE public.memory_answers (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    link_id bigint NOT NULL,
    kind character varying NOT NULL,
    sure boolean NOT NULL,
    day date NOT NULL
);
CREATE SEQUENCE public.memory_answers_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.memory_answers_id_seq OWNED BY public.memory_answers.id;
CREATE TABLE public.notes (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    rehearsal_id bigint,
    slot_id bigint,
    kind character varying NOT NULL,
    about character varying NOT NULL,
    text character varying NOT NULL,
    section_id bigint,
    person_id bigint,
    group_id bigint,
    "row" integer,
    at integer,
    answered_at timestamp(6) without time zone,
    answered_by character varying,
    taken_back_at timestamp(6) without time zone,
    said_at bigint NOT NULL,
    by_name character varying NOT NULL,
    client_id character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    run_id bigint,
    link_id bigint,
    asker_id bigint,
    answer character varying
);
CREATE SEQUENCE public.notes_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.notes_id_seq OWNED BY public.notes.id;
CREATE TABLE public.overrulings (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    kind character varying NOT NULL,
    reason character varying NOT NULL,
    blocks integer NOT NULL,
    blocked character varying[] DEFAULT '{}'::character varying[] NOT NULL,
    by_name character varying NOT NULL,
    day date NOT NULL,
    created_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.overrulings_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.overrulings_id_seq OWNED BY public.overrulings.id;
CREATE TABLE public.own_steps (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    name character varying NOT NULL,
    "like" character varying NOT NULL,
    counts integer,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    account_id bigint,
    by_name character varying DEFAULT ''::character varying NOT NULL,
    proposed_at timestamp(6) without time zone
);
CREATE SEQUENCE public.own_steps_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.own_steps_id_seq OWNED BY public.own_steps.id;
CREATE TABLE public.parts (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    section_id bigint NOT NULL,
    group_id bigint NOT NULL,
    start_offset integer DEFAULT 0 NOT NULL,
    hold_before integer DEFAULT 0 NOT NULL,
    hold_after integer DEFAULT 0 NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    mirrored boolean DEFAULT false NOT NULL,
    stretches jsonb DEFAULT '[]'::jsonb NOT NULL,
    level character varying,
    place character varying,
    facing integer,
    pauses jsonb DEFAULT '[]'::jsonb NOT NULL
);
CREATE SEQUENCE public.parts_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.parts_id_seq OWNED BY public.parts.id;
CREATE TABLE public.passes (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    rehearsal_id bigint NOT NULL,
    slot_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    from_link integer NOT NULL,
    to_link integer NOT NULL,
    from_row integer DEFAULT 1 NOT NULL,
    speed integer NOT NULL,
    music boolean DEFAULT false NOT NULL,
    minute integer NOT NULL,
    said_at bigint NOT NULL,
    by_name character varying NOT NULL,
    client_id character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    undoes character varying
);
CREATE SEQUENCE public.passes_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.passes_id_seq OWNED BY public.passes.id;
CREATE TABLE public.password_resets (
    id bigint NOT NULL,
    account_id bigint NOT NULL,
    token_digest character varying NOT NULL,
    expires_at timestamp(6) without time zone NOT NULL,
    used_at timestamp(6) without time zone,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.password_resets_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.password_resets_id_seq OWNED BY public.password_resets.id;
CREATE TABLE public.people (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    name character varying NOT NULL,
    dances boolean DEFAULT true NOT NULL,
    teaches boolean DEFAULT false NOT NULL,
    adult boolean DEFAULT false NOT NULL,
    tape integer,
    initials character varying,
    archived_at timestamp(6) without time zone,
    lock_version integer DEFAULT 0 NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    client_id character varying,
    rings character varying DEFAULT ''::character varying NOT NULL,
    erased_at timestamp(6) without time zone,
    family_word character varying,
    sheet_token character varying,
    former_names character varying[] DEFAULT '{}'::character varying[] NOT NULL,
    names_waiting character varying[] DEFAULT '{}'::character varying[] NOT NULL,
    listed_by bigint,
    roster_groups jsonb DEFAULT '[]'::jsonb NOT NULL,
    roster_leads jsonb DEFAULT '[]'::jsonb NOT NULL,
    band character varying,
    wheels boolean DEFAULT false NOT NULL,
    needs character varying(120) DEFAULT ''::character varying NOT NULL,
    comes_said_on date,
    comes_with_id bigint
);
CREATE SEQUENCE public.people_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.people_id_seq OWNED BY public.people.id;
CREATE TABLE public.person_links (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    person_id bigint NOT NULL,
    token_digest character varying NOT NULL,
    revoked_at timestamp(6) without time zone,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    kind character varying DEFAULT 'dancer'::character varying NOT NULL
);
CREATE SEQUENCE public.person_links_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.person_links_id_seq OWNED BY public.person_links.id;
CREATE TABLE public.pieces (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    title character varying NOT NULL,
    show_date date,
    settings jsonb DEFAULT '{}'::jsonb NOT NULL,
    archived_at timestamp(6) without time zone,
    lock_version integer DEFAULT 0 NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    work_version bigint DEFAULT 0 NOT NULL,
    learning_seq bigint DEFAULT 0 NOT NULL,
    sample boolean DEFAULT false NOT NULL
);
CREATE SEQUENCE public.pieces_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.pieces_id_seq OWNED BY public.pieces.id;
CREATE TABLE public.plan_offers (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    account_id bigint,
    kind character varying NOT NULL,
    asked jsonb DEFAULT '{}'::jsonb NOT NULL,
    state character varying DEFAULT 'waiting'::character varying NOT NULL,
    share double precision DEFAULT 0.0 NOT NULL,
    facts jsonb DEFAULT '{}'::jsonb NOT NULL,
    plans jsonb DEFAULT '{}'::jsonb NOT NULL,
    work_version bigint,
    season_version bigint,
    taken_at timestamp(6) without time zone,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.plan_offers_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.plan_offers_id_seq OWNED BY public.plan_offers.id;
CREATE TABLE public.plans (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    number integer NOT NULL,
    school character varying DEFAULT 'add_on'::character varying NOT NULL,
    result jsonb DEFAULT '{}'::jsonb NOT NULL,
    account_id bigint,
    published_at timestamp(6) without time zone,
    replaced_at timestamp(6) without time zone,
    lock_version integer DEFAULT 0 NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    search jsonb DEFAULT '{}'::jsonb NOT NULL,
    together bigint
);
CREATE SEQUENCE public.plans_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.plans_id_seq OWNED BY public.plans.id;
CREATE TABLE public.program_tokens (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    name character varying NOT NULL,
    token_digest character varying NOT NULL,
    by_name character varying NOT NULL,
    last_used_on date,
    revoked_at timestamp(6) without time zone,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.program_tokens_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.program_tokens_id_seq OWNED BY public.program_tokens.id;
CREATE SEQUENCE public.que_jobs_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.que_jobs_id_seq OWNED BY public.que_jobs.id;
CREATE UNLOGGED TABLE public.que_lockers (
    pid integer NOT NULL,
    worker_count integer NOT NULL,
    worker_priorities integer[] NOT NULL,
    ruby_pid integer NOT NULL,
    ruby_hostname text NOT NULL,
    queues text[] NOT NULL,
    listening boolean NOT NULL,
    job_schema_version integer DEFAULT 1,
    CONSTRAINT valid_queues CHECK (((array_ndims(queues) = 1) AND (array_length(queues, 1) IS NOT NULL))),
    CONSTRAINT valid_worker_priorities CHECK (((array_ndims(worker_priorities) = 1) AND (array_length(worker_priorities, 1) IS NOT NULL)))
);
CREATE TABLE public.que_values (
    key text NOT NULL,
    value jsonb DEFAULT '{}'::jsonb NOT NULL,
    CONSTRAINT valid_value CHECK ((jsonb_typeof(value) = 'object'::text))
)
WITH (fillfactor='90');
CREATE TABLE public.raised_seasons (
    id bigint NOT NULL,
    studio_id bigint NOT NULL
);
CREATE SEQUENCE public.raised_seasons_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.raised_seasons_id_seq OWNED BY public.raised_seasons.id;
CREATE TABLE public.rehearsal_rooms (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    rehearsal_id bigint NOT NULL,
    room_id bigint NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.rehearsal_rooms_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.rehearsal_rooms_id_seq OWNED BY public.rehearsal_rooms.id;
CREATE TABLE public.rehearsals (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    date date NOT NULL,
    start_minute integer NOT NULL,
    end_minute integer NOT NULL,
    cancelled_at timestamp(6) without time zone,
    note character varying DEFAULT ''::character varying NOT NULL,
    lock_version integer DEFAULT 0 NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    confirmed_at timestamp(6) without time zone,
    confirmed_by character varying,
    turns integer DEFAULT 2 NOT NULL,
    told_at_host character varying,
    kind character varying(20) DEFAULT 'rehearsal'::character varying NOT NULL,
    left_empty boolean DEFAULT false NOT NULL
);
CREATE SEQUENCE public.rehearsals_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.rehearsals_id_seq OWNED BY public.rehearsals.id;
CREATE TABLE public.revisions (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    number integer NOT NULL,
    account_id bigint,
    summary character varying NOT NULL,
    work jsonb NOT NULL,
    created_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.revisions_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.revisions_id_seq OWNED BY public.revisions.id;
CREATE TABLE public.rooms (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    name character varying NOT NULL,
    capacity integer NOT NULL,
    area integer,
    archived_at timestamp(6) without time zone,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    step_free boolean
);
CREATE SEQUENCE public.rooms_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.rooms_id_seq OWNED BY public.rooms.id;
CREATE TABLE public.run_steps (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    run_id bigint NOT NULL,
    kind character varying NOT NULL,
    link_id bigint NOT NULL,
    "row" integer DEFAULT 1 NOT NULL,
    at integer DEFAULT 0 NOT NULL,
    minute integer NOT NULL,
    said_at bigint NOT NULL,
    by_name character varying NOT NULL,
    client_id character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    undoes character varying
);
CREATE SEQUENCE public.run_steps_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.run_steps_id_seq OWNED BY public.run_steps.id;
CREATE TABLE public.runs (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    rehearsal_id bigint NOT NULL,
    slot_id bigint,
    kind character varying NOT NULL,
    link_id bigint NOT NULL,
    "row" integer DEFAULT 1 NOT NULL,
    to_link_id bigint NOT NULL,
    speed integer DEFAULT 100 NOT NULL,
    music boolean DEFAULT false NOT NULL,
    minute integer NOT NULL,
    said_at bigint NOT NULL,
    by_name character varying NOT NULL,
    client_id character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    undoes character varying
);
CREATE SEQUENCE public.runs_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.runs_id_seq OWNED BY public.runs.id;
CREATE TABLE public.schema_migrations (
    version character varying NOT NULL
);
CREATE TABLE public.season_days (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    kind character varying(20) NOT NULL,
    from_date date NOT NULL,
    to_date date NOT NULL,
    group_id bigint,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.season_days_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.season_days_id_seq OWNED BY public.season_days.id;
CREATE TABLE public.section_teachers (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    section_id bigint NOT NULL,
    person_id bigint NOT NULL,
    created_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.section_teachers_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.section_teachers_id_seq OWNED BY public.section_teachers.id;
CREATE TABLE public.sections (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    name character varying NOT NULL,
    letter character varying NOT NULL,
    choreographer_id bigint,
    fidelity character varying DEFAULT 'set'::character varying NOT NULL,
    method_preset character varying DEFAULT 'drill'::character varying NOT NULL,
    "time" character varying DEFAULT 'normal'::character varying NOT NULL,
    feel character varying DEFAULT 'even'::character varying NOT NULL,
    stated_entry jsonb DEFAULT '{}'::jsonb NOT NULL,
    stated_exit jsonb DEFAULT '{}'::jsonb NOT NULL,
    difficulty numeric(3,2) DEFAULT 1.0 NOT NULL,
    minutes integer,
    expected_counts integer,
    hazards text[] DEFAULT '{}'::text[] NOT NULL,
    bring character varying DEFAULT ''::character varying NOT NULL,
    note text DEFAULT ''::text NOT NULL,
    "position" integer NOT NULL,
    lock_version integer DEFAULT 0 NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    being_made boolean DEFAULT false NOT NULL,
    layer_school character varying DEFAULT 'together'::character varying NOT NULL,
    teachers_needed character varying DEFAULT 'all'::character varying NOT NULL,
    known boolean DEFAULT false NOT NULL,
    learned_way character varying,
    learned_runs integer,
    layered_ladder boolean DEFAULT false NOT NULL,
    called_by character varying DEFAULT 'counts'::character varying NOT NULL,
    said_length text DEFAULT ''::text NOT NULL,
    said_teachers jsonb DEFAULT '[]'::jsonb NOT NULL,
    run_without boolean DEFAULT false NOT NULL
);
CREATE SEQUENCE public.sections_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.sections_id_seq OWNED BY public.sections.id;
CREATE TABLE public.sign_ins (
    id bigint NOT NULL,
    account_id bigint NOT NULL,
    token_digest character varying NOT NULL,
    device character varying NOT NULL,
    last_seen_at timestamp(6) without time zone NOT NULL,
    created_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.sign_ins_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.sign_ins_id_seq OWNED BY public.sign_ins.id;
CREATE TABLE public.slot_people (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    slot_id bigint NOT NULL,
    person_id bigint NOT NULL,
    role character varying DEFAULT 'dancer'::character varying NOT NULL
);
CREATE SEQUENCE public.slot_people_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.slot_people_id_seq OWNED BY public.slot_people.id;
CREATE TABLE public.slots (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    plan_id bigint NOT NULL,
    rehearsal_id bigint NOT NULL,
    room_id bigint,
    kind character varying NOT NULL,
    task_key character varying NOT NULL,
    title character varying NOT NULL,
    start_minute integer NOT NULL,
    minutes integer NOT NULL,
    from_link integer,
    to_link integer,
    section_ids bigint[] DEFAULT '{}'::bigint[] NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    pinned boolean DEFAULT false NOT NULL,
    actual_minutes integer,
    eights integer[],
    names character varying[] DEFAULT '{}'::character varying[] NOT NULL
);
CREATE SEQUENCE public.slots_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.slots_id_seq OWNED BY public.slots.id;
CREATE TABLE public.spots (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    formation_id bigint NOT NULL,
    person_id bigint NOT NULL,
    x numeric(6,2) NOT NULL,
    y numeric(6,2) NOT NULL,
    facing integer DEFAULT 1 NOT NULL,
    pinned boolean DEFAULT false NOT NULL
);
CREATE SEQUENCE public.spots_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.spots_id_seq OWNED BY public.spots.id;
CREATE TABLE public.studios (
    id bigint NOT NULL,
    name character varying NOT NULL,
    time_zone character varying DEFAULT 'Europe/London'::character varying NOT NULL,
    settings jsonb DEFAULT '{}'::jsonb NOT NULL,
    demo boolean DEFAULT false NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    season_version bigint DEFAULT 0 NOT NULL,
    forgets integer DEFAULT 0 NOT NULL,
    days_asked_on date
);
CREATE SEQUENCE public.studios_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.studios_id_seq OWNED BY public.studios.id;
CREATE TABLE public.submissions (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    key character varying NOT NULL,
    location character varying,
    created_at timestamp(6) without time zone NOT NULL,
    digest character varying DEFAULT ''::character varying NOT NULL,
    said jsonb
);
CREATE SEQUENCE public.submissions_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.submissions_id_seq OWNED BY public.submissions.id;
CREATE TABLE public.teachings (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    section_id bigint NOT NULL,
    eights integer NOT NULL,
    day date NOT NULL,
    by_name character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    group_id bigint,
    counted boolean DEFAULT true NOT NULL
);
CREATE SEQUENCE public.teachings_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.teachings_id_seq OWNED BY public.teachings.id;
CREATE TABLE public.tracks (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    tempo jsonb DEFAULT '[[1, 120]]'::jsonb NOT NULL,
    form jsonb DEFAULT '[]'::jsonb NOT NULL,
    first_count_seconds numeric(9,3) DEFAULT 0.0 NOT NULL,
    length_seconds numeric(9,3),
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.tracks_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.tracks_id_seq OWNED BY public.tracks.id;
CREATE TABLE public.transfers (
    id bigint NOT NULL,
    studio_id bigint,
    account_id bigint NOT NULL,
    kind character varying NOT NULL,
    state character varying NOT NULL,
    share double precision DEFAULT 0.0 NOT NULL,
    file_data jsonb,
    report jsonb DEFAULT '{}'::jsonb NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.transfers_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.transfers_id_seq OWNED BY public.transfers.id;
CREATE TABLE public.tries (
    id bigint NOT NULL,
    kind character varying NOT NULL,
    key character varying NOT NULL,
    since timestamp(6) without time zone NOT NULL,
    count integer NOT NULL
);
CREATE SEQUENCE public.tries_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.tries_id_seq OWNED BY public.tries.id;
CREATE TABLE public.trouble_people (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    trouble_id bigint NOT NULL,
    person_id bigint NOT NULL,
    created_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.trouble_people_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.trouble_people_id_seq OWNED BY public.trouble_people.id;
CREATE TABLE public.troubles (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    run_id bigint NOT NULL,
    link_id bigint NOT NULL,
    "row" integer DEFAULT 1 NOT NULL,
    at integer DEFAULT 0 NOT NULL,
    place character varying NOT NULL,
    kind character varying,
    group_id bigint,
    everyone boolean DEFAULT false NOT NULL,
    worded_at bigint,
    worded_by character varying,
    settled_at timestamp(6) without time zone,
    settled_by character varying,
    taken_back_at timestamp(6) without time zone,
    said_at bigint NOT NULL,
    by_name character varying NOT NULL,
    client_id character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    said_before jsonb DEFAULT '{}'::jsonb NOT NULL
);
CREATE SEQUENCE public.troubles_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.troubles_id_seq OWNED BY public.troubles.id;
CREATE TABLE public.understudies (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    person_id bigint NOT NULL,
    covers_person_id bigint NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    CONSTRAINT somebody_else CHECK ((person_id <> covers_person_id))
);
CREATE SEQUENCE public.understudies_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.understudies_id_seq OWNED BY public.understudies.id;
CREATE TABLE public.uploads (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    kind character varying NOT NULL,
    file_data jsonb NOT NULL,
    seconds numeric(9,3),
    by_name character varying NOT NULL,
    removed_at timestamp(6) without time zone,
    created_at timestamp(6) without time zone NOT NULL,
    section_id bigint,
    run_id bigint,
    side character varying,
    marks jsonb DEFAULT '[]'::jsonb NOT NULL
);
CREATE SEQUENCE public.uploads_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.uploads_id_seq OWNED BY public.uploads.id;
CREATE TABLE public.version_people (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    piece_id bigint NOT NULL,
    person_id bigint,
    section_id bigint,
    kind character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL,
    group_id bigint,
    CONSTRAINT somebody_dances_it CHECK ((num_nonnulls(person_id, group_id) = 1))
);
CREATE SEQUENCE public.version_people_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.version_people_id_seq OWNED BY public.version_people.id;
CREATE TABLE public.versions (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    section_id bigint NOT NULL,
    kind character varying NOT NULL,
    eights jsonb DEFAULT '{}'::jsonb NOT NULL,
    note character varying DEFAULT ''::character varying NOT NULL,
    lock_version integer DEFAULT 0 NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.versions_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.versions_id_seq OWNED BY public.versions.id;
CREATE TABLE public.visits (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    person_id bigint NOT NULL,
    date date NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    updated_at timestamp(6) without time zone NOT NULL
);
CREATE SEQUENCE public.visits_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.visits_id_seq OWNED BY public.visits.id;
CREATE TABLE public.word_meanings (
    id bigint NOT NULL,
    studio_id bigint NOT NULL,
    teacher_id bigint,
    word character varying NOT NULL,
    effect character varying NOT NULL,
    account_id bigint,
    by_name character varying DEFAULT ''::character varying NOT NULL,
    created_at timestamp(6) without time zone NOT NULL,
    undone_at timestamp(6) without time zone
);
CREATE SEQUENCE public.word_meanings_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.word_meanings_id_seq OWNED BY public.word_meanings.id;
ALTER TABLE ONLY public.absences ALTER COLUMN id SET DEFAULT nextval('public.absences_id_seq'::regclass);
ALTER TABLE ONLY public.accounts ALTER COLUMN id SET DEFAULT nextval('public.accounts_id_seq'::regclass);
ALTER TABLE ONLY public.agreements ALTER COLUMN id SET DEFAULT nextval('public.agreements_id_seq'::regclass);
ALTER TABLE ONLY public.asides ALTER COLUMN id SET DEFAULT nextval('public.asides_id_seq'::regclass);
ALTER TABLE ONLY public.asks ALTER COLUMN id SET DEFAULT nextval('public.asks_id_seq'::regclass);
ALTER TABLE ONLY public.attendance_entries ALTER COLUMN id SET DEFAULT nextval('public.attendance_entries_id_seq'::regclass);
ALTER TABLE ONLY public.attendances ALTER COLUMN id SET DEFAULT nextval('public.attendances_id_seq'::regclass);
ALTER TABLE ONLY public.calendar_links ALTER COLUMN id SET DEFAULT nextval('public.calendar_links_id_seq'::regclass);
ALTER TABLE ONLY public.castings ALTER COLUMN id SET DEFAULT nextval('public.castings_id_seq'::regclass);
ALTER TABLE ONLY public.clip_people ALTER COLUMN id SET DEFAULT nextval('public.clip_people_id_seq'::regclass);
ALTER TABLE ONLY public.consents ALTER COLUMN id SET DEFAULT nextval('public.consents_id_seq'::regclass);
ALTER TABLE ONLY public.drill_people ALTER COLUMN id SET DEFAULT nextval('public.drill_people_id_seq'::regclass);
ALTER TABLE ONLY public.drills ALTER COLUMN id SET DEFAULT nextval('public.drills_id_seq'::regclass);
ALTER TABLE ONLY public.eights ALTER COLUMN id SET DEFAULT nextval('public.eights_id_seq'::regclass);
ALTER TABLE ONLY public.evening_steps ALTER COLUMN id SET DEFAULT nextval('public.evening_steps_id_seq'::regclass);
ALTER TABLE ONLY public.formations ALTER COLUMN id SET DEFAULT nextval('public.formations_id_seq'::regclass);
ALTER TABLE ONLY public.givings ALTER COLUMN id SET DEFAULT nextval('public.givings_id_seq'::regclass);
ALTER TABLE ONLY public.group_members ALTER COLUMN id SET DEFAULT nextval('public.group_members_id_seq'::regclass);
ALTER TABLE ONLY public.groups ALTER COLUMN id SET DEFAULT nextval('public.groups_id_seq'::regclass);
ALTER TABLE ONLY public.habits ALTER COLUMN id SET DEFAULT nextval('public.habits_id_seq'::regclass);
ALTER TABLE ONLY public.hand_overs ALTER COLUMN id SET DEFAULT nextval('public.hand_overs_id_seq'::regclass);
ALTER TABLE ONLY public.heartbeats ALTER COLUMN id SET DEFAULT nextval('public.heartbeats_id_seq'::regclass);
ALTER TABLE ONLY public.invitations ALTER COLUMN id SET DEFAULT nextval('public.invitations_id_seq'::regclass);
ALTER TABLE ONLY public.join_facts ALTER COLUMN id SET DEFAULT nextval('public.join_facts_id_seq'::regclass);
ALTER TABLE ONLY public.learning_states ALTER COLUMN id SET DEFAULT nextval('public.learning_states_id_seq'::regclass);
ALTER TABLE ONLY public.ledger_entries ALTER COLUMN id SET DEFAULT nextval('public.ledger_entries_id_seq'::regclass);
ALTER TABLE ONLY public.links ALTER COLUMN id SET DEFAULT nextval('public.links_id_seq'::regclass);
ALTER TABLE ONLY public.mails ALTER COLUMN id SET DEFAULT nextval('public.mails_id_seq'::regclass);
ALTER TABLE ONLY public.memberships ALTER COLUMN id SET DEFAULT nextval('public.memberships_id_seq'::regclass);
ALTER TABLE ONLY public.memory_answers ALTER COLUMN id SET DEFAULT nextval('public.memory_answers_id_seq'::regclass);
ALTER TABLE ONLY public.notes ALTER COLUMN id SET DEFAULT nextval('public.notes_id_seq'::regclass);
ALTER TABLE ONLY public.overrulings ALTER COLUMN id SET DEFAULT nextval('public.overrulings_id_seq'::regclass);
ALTER TABLE ONLY public.own_steps ALTER COLUMN id SET DEFAULT nextval('public.own_steps_id_seq'::regclass);
ALTER TABLE ONLY public.parts ALTER COLUMN id SET DEFAULT nextval('public.parts_id_seq'::regclass);
ALTER TABLE ONLY public.passes ALTER COLUMN id SET DEFAULT nextval('public.passes_id_seq'::regclass);
ALTER TABLE ONLY public.password_resets ALTER COLUMN id SET DEFAULT nextval('public.password_resets_id_seq'::regclass);
ALTER TABLE ONLY public.people ALTER COLUMN id SET DEFAULT nextval('public.people_id_seq'::regclass);
ALTER TABLE ONLY public.person_links ALTER COLUMN id SET DEFAULT nextval('public.person_links_id_seq'::regclass);
ALTER TABLE ONLY public.pieces ALTER COLUMN id SET DEFAULT nextval('public.pieces_id_seq'::regclass);
ALTER TABLE ONLY public.plan_offers ALTER COLUMN id SET DEFAULT nextval('public.plan_offers_id_seq'::regclass);
ALTER TABLE ONLY public.plans ALTER COLUMN id SET DEFAULT nextval('public.plans_id_seq'::regclass);
ALTER TABLE ONLY public.program_tokens ALTER COLUMN id SET DEFAULT nextval('public.program_tokens_id_seq'::regclass);
ALTER TABLE ONLY public.que_jobs ALTER COLUMN id SET DEFAULT nextval('public.que_jobs_id_seq'::regclass);
ALTER TABLE ONLY public.raised_seasons ALTER COLUMN id SET DEFAULT nextval('public.raised_seasons_id_seq'::regclass);
ALTER TABLE ONLY public.rehearsal_rooms ALTER COLUMN id SET DEFAULT nextval('public.rehearsal_rooms_id_seq'::regclass);
ALTER TABLE ONLY public.rehearsals ALTER COLUMN id SET DEFAULT nextval('public.rehearsals_id_seq'::regclass);
ALTER TABLE ONLY public.revisions ALTER COLUMN id SET DEFAULT nextval('public.revisions_id_seq'::regclass);
ALTER TABLE ONLY public.rooms ALTER COLUMN id SET DEFAULT nextval('public.rooms_id_seq'::regclass);
ALTER TABLE ONLY public.run_steps ALTER COLUMN id SET DEFAULT nextval('public.run_steps_id_seq'::regclass);
ALTER TABLE ONLY public.runs ALTER COLUMN id SET DEFAULT nextval('public.runs_id_seq'::regclass);
ALTER TABLE ONLY public.season_days ALTER COLUMN id SET DEFAULT nextval('public.season_days_id_seq'::regclass);
ALTER TABLE ONLY public.section_teachers ALTER COLUMN id SET DEFAULT nextval('public.section_teachers_id_seq'::regclass);
ALTER TABLE ONLY public.sections ALTER COLUMN id SET DEFAULT nextval('public.sections_id_seq'::regclass);
ALTER TABLE ONLY public.sign_ins ALTER COLUMN id SET DEFAULT nextval('public.sign_ins_id_seq'::regclass);
ALTER TABLE ONLY public.slot_people ALTER COLUMN id SET DEFAULT nextval('public.slot_people_id_seq'::regclass);
ALTER TABLE ONLY public.slots ALTER COLUMN id SET DEFAULT nextval('public.slots_id_seq'::regclass);
ALTER TABLE ONLY public.spots ALTER COLUMN id SET DEFAULT nextval('public.spots_id_seq'::regclass);
ALTER TABLE ONLY public.studios ALTER COLUMN id SET DEFAULT nextval('public.studios_id_seq'::regclass);
ALTER TABLE ONLY public.submissions ALTER COLUMN id SET DEFAULT nextval('public.submissions_id_seq'::regclass);
ALTER TABLE ONLY public.teachings ALTER COLUMN id SET DEFAULT nextval('public.teachings_id_seq'::regclass);
ALTER TABLE ONLY public.tracks ALTER COLUMN id SET DEFAULT nextval('public.tracks_id_seq'::regclass);
ALTER TABLE ONLY public.transfers ALTER COLUMN id SET DEFAULT nextval('public.transfers_id_seq'::regclass);
ALTER TABLE ONLY public.tries ALTER COLUMN id SET DEFAULT nextval('public.tries_id_seq'::regclass);
ALTER TABLE ONLY public.trouble_people ALTER COLUMN id SET DEFAULT nextval('public.trouble_people_id_seq'::regclass);
ALTER TABLE ONLY public.troubles ALTER COLUMN id SET DEFAULT nextval('public.troubles_id_seq'::regclass);
ALTER TABLE ONLY public.understudies ALTER COLUMN id SET DEFAULT nextval('public.understudies_id_seq'::regclass);
ALTER TABLE ONLY public.uploads ALTER COLUMN id SET DEFAULT nextval('public.uploads_id_seq'::regclass);
ALTER TABLE ONLY public.version_people ALTER COLUMN id SET DEFAULT nextval('public.version_people_id_seq'::regclass);
ALTER TABLE ONLY public.versions ALTER COLUMN id SET DEFAULT nextval('public.versions_id_seq'::regclass);
ALTER TABLE ONLY public.visits ALTER COLUMN id SET DEFAULT nextval('public.visits_id_seq'::regclass);
ALTER TABLE ONLY public.word_meanings ALTER COLUMN id SET DEFAULT nextval('public.word_meanings_id_seq'::regclass);
ALTER TABLE ONLY public.absences
    ADD CONSTRAINT absences_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.accounts
    ADD CONSTRAINT accounts_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.agreements
    ADD CONSTRAINT agreements_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.ar_internal_metadata
    ADD CONSTRAINT ar_internal_metadata_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.asides
    ADD CONSTRAINT asides_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.asks
    ADD CONSTRAINT asks_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.attendance_entries
    ADD CONSTRAINT attendance_entries_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.attendances
    ADD CONSTRAINT attendances_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.calendar_links
    ADD CONSTRAINT calendar_links_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.castings
    ADD CONSTRAINT castings_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.clip_people
    ADD CONSTRAINT clip_people_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.consents
    ADD CONSTRAINT consents_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.drill_people
    ADD CONSTRAINT drill_people_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.drills
    ADD CONSTRAINT drills_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.eights
    ADD CONSTRAINT eights_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.evening_steps
    ADD CONSTRAINT evening_steps_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.formations
    ADD CONSTRAINT formations_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.givings
    ADD CONSTRAINT givings_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.group_members
    ADD CONSTRAINT group_members_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.groups
    ADD CONSTRAINT groups_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.habits
    ADD CONSTRAINT habits_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.hand_overs
    ADD CONSTRAINT hand_overs_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.heartbeats
    ADD CONSTRAINT heartbeats_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.invitations
    ADD CONSTRAINT invitations_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.join_facts
    ADD CONSTRAINT join_facts_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.learning_states
    ADD CONSTRAINT learning_states_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.ledger_entries
    ADD CONSTRAINT ledger_entries_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.links
    ADD CONSTRAINT links_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.mails
    ADD CONSTRAINT mails_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.memberships
    ADD CONSTRAINT memberships_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.memory_answers
    ADD CONSTRAINT memory_answers_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.notes
    ADD CONSTRAINT notes_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.overrulings
    ADD CONSTRAINT overrulings_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.own_steps
    ADD CONSTRAINT own_steps_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.parts
    ADD CONSTRAINT parts_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.passes
    ADD CONSTRAINT passes_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.password_resets
    ADD CONSTRAINT password_resets_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.people
    ADD CONSTRAINT people_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.person_links
    ADD CONSTRAINT person_links_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.pieces
    ADD CONSTRAINT pieces_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.plan_offers
    ADD CONSTRAINT plan_offers_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.plans
    ADD CONSTRAINT plans_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.program_tokens
    ADD CONSTRAINT program_tokens_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.que_jobs
    ADD CONSTRAINT que_jobs_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.que_lockers
    ADD CONSTRAINT que_lockers_pkey PRIMARY KEY (pid);
ALTER TABLE ONLY public.que_values
    ADD CONSTRAINT que_values_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.raised_seasons
    ADD CONSTRAINT raised_seasons_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.rehearsal_rooms
    ADD CONSTRAINT rehearsal_rooms_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.rehearsals
    ADD CONSTRAINT rehearsals_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.revisions
    ADD CONSTRAINT revisions_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.rooms
    ADD CONSTRAINT rooms_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.run_steps
    ADD CONSTRAINT run_steps_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.runs
    ADD CONSTRAINT runs_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.schema_migrations
    ADD CONSTRAINT schema_migrations_pkey PRIMARY KEY (version);
ALTER TABLE ONLY public.season_days
    ADD CONSTRAINT season_days_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.section_teachers
    ADD CONSTRAINT section_teachers_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.sections
    ADD CONSTRAINT sections_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.sign_ins
    ADD CONSTRAINT sign_ins_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.slot_people
    ADD CONSTRAINT slot_people_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.slots
    ADD CONSTRAINT slots_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.spots
    ADD CONSTRAINT spots_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.studios
    ADD CONSTRAINT studios_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.submissions
    ADD CONSTRAINT submissions_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.teachings
    ADD CONSTRAINT teachings_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.tracks
    ADD CONSTRAINT tracks_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.transfers
    ADD CONSTRAINT transfers_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.tries
    ADD CONSTRAINT tries_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.trouble_people
    ADD CONSTRAINT trouble_people_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.troubles
    ADD CONSTRAINT troubles_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.understudies
    ADD CONSTRAINT understudies_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.uploads
    ADD CONSTRAINT uploads_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.version_people
    ADD CONSTRAINT version_people_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.versions
    ADD CONSTRAINT versions_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.visits
    ADD CONSTRAINT visits_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.word_meanings
    ADD CONSTRAINT word_meanings_pkey PRIMARY KEY (id);
CREATE UNIQUE INDEX idx_on_piece_id_person_id_covers_person_id_ed54e46668 ON public.understudies USING btree (piece_id, person_id, covers_person_id);
CREATE INDEX index_absences_on_studio_id ON public.absences USING btree (studio_id);
CREATE INDEX index_absences_on_studio_id_and_habit_id ON public.absences USING btree (studio_id, habit_id);
CREATE UNIQUE INDEX index_absences_on_studio_id_and_id ON public.absences USING btree (studio_id, id);
CREATE INDEX index_absences_on_studio_id_and_person_id ON public.absences USING btree (studio_id, person_id);
CREATE UNIQUE INDEX index_accounts_on_email ON public.accounts USING btree (email);
CREATE INDEX index_agreements_on_piece_id_and_join_key_and_id ON public.agreements USING btree (piece_id, join_key, id);
CREATE INDEX index_agreements_on_studio_id ON public.agreements USING btree (studio_id);
CREATE UNIQUE INDEX index_agreements_on_studio_id_and_id ON public.agreements USING btree (studio_id, id);
CREATE UNIQUE INDEX index_asides_on_piece_id_and_question ON public.asides USING btree (piece_id, question);
CREATE INDEX index_asides_on_studio_id ON public.asides USING btree (studio_id);
CREATE UNIQUE INDEX index_asides_on_studio_id_and_id ON public.asides USING btree (studio_id, id);
CREATE INDEX index_asks_on_account_id ON public.asks USING btree (account_id);
CREATE INDEX index_asks_on_job_id ON public.asks USING btree (job_id);
CREATE INDEX index_asks_on_studio_id ON public.asks USING btree (studio_id);
CREATE INDEX index_asks_on_whose ON public.asks USING btree (whose);
CREATE INDEX index_attendance_entries_on_studio_id ON public.attendance_entries USING btree (studio_id);
CREATE UNIQUE INDEX index_attendance_entries_on_studio_id_and_client_id ON public.attendance_entries USING btree (studio_id, client_id);
CREATE UNIQUE INDEX index_attendance_entries_on_studio_id_and_id ON public.attendance_entries USING btree (studio_id, id);
CREATE INDEX index_attendance_entries_on_studio_id_and_person_id ON public.attendance_entries USING btree (studio_id, person_id);
CREATE INDEX index_attendance_entries_on_studio_id_and_rehearsal_id ON public.attendance_entries USING btree (studio_id, rehearsal_id);
CREATE INDEX index_attendance_entries_on_studio_id_and_undoes ON public.attendance_entries USING btree (studio_id, undoes);
CREATE UNIQUE INDEX index_attendances_on_rehearsal_id_and_person_id ON public.attendances USING btree (rehearsal_id, person_id);
CREATE INDEX index_attendances_on_studio_id ON public.attendances USING btree (studio_id);
CREATE UNIQUE INDEX index_attendances_on_studio_id_and_id ON public.attendances USING btree (studio_id, id);
CREATE INDEX index_calendar_links_on_person_link_id ON public.calendar_links USING btree (person_link_id);
CREATE INDEX index_calendar_links_on_studio_id ON public.calendar_links USING btree (studio_id);
CREATE UNIQUE INDEX index_calendar_links_on_studio_id_and_id ON public.calendar_links USING btree (studio_id, id);
CREATE INDEX index_calendar_links_on_studio_id_and_person_id ON public.calendar_links USING btree (studio_id, person_id);
CREATE INDEX index_calendar_links_on_studio_id_and_piece_id ON public.calendar_links USING btree (studio_id, piece_id);
CREATE INDEX index_calendar_links_on_studio_id_and_room_id ON public.calendar_links USING btree (studio_id, room_id);
CREATE UNIQUE INDEX index_calendar_links_on_token_digest ON public.calendar_links USING btree (token_digest);
CREATE UNIQUE INDEX index_castings_on_piece_id_and_person_id ON public.castings USING btree (piece_id, person_id);
CREATE INDEX index_castings_on_studio_id ON public.castings USING btree (studio_id);
CREATE UNIQUE INDEX index_castings_on_studio_id_and_id ON public.castings USING btree (studio_id, id);
CREATE INDEX index_castings_on_studio_id_and_person_id ON public.castings USING btree (studio_id, person_id);
CREATE INDEX index_castings_on_studio_id_and_piece_id ON public.castings USING btree (studio_id, piece_id);
CREATE INDEX index_clip_people_on_studio_id ON public.clip_people USING btree (studio_id);
CREATE UNIQUE INDEX index_clip_people_on_studio_id_and_id ON public.clip_people USING btree (studio_id, id);
CREATE INDEX index_clip_people_on_studio_id_and_person_id ON public.clip_people USING btree (studio_id, person_id);
CREATE INDEX index_clip_people_on_studio_id_and_upload_id ON public.clip_people USING btree (studio_id, upload_id);
CREATE UNIQUE INDEX index_clip_people_on_upload_id_and_person_id ON public.clip_people USING btree (upload_id, person_id);
CREATE INDEX index_consents_on_studio_id ON public.consents USING btree (studio_id);
CREATE UNIQUE INDEX index_consents_on_studio_id_and_id ON public.consents USING btree (studio_id, id);
CREATE INDEX index_consents_on_studio_id_and_person_id ON public.consents USING btree (studio_id, person_id);
CREATE UNIQUE INDEX index_drill_people_on_drill_id_and_person_id ON public.drill_people USING btree (drill_id, person_id);
CREATE INDEX index_drill_people_on_studio_id ON public.drill_people USING btree (studio_id);
CREATE INDEX index_drill_people_on_studio_id_and_drill_id ON public.drill_people USING btree (studio_id, drill_id);
CREATE UNIQUE INDEX index_drill_people_on_studio_id_and_id ON public.drill_people USING btree (studio_id, id);
CREATE INDEX index_drill_people_on_studio_id_and_person_id ON public.drill_people USING btree (studio_id, person_id);
CREATE INDEX index_drills_on_slot_id ON public.drills USING btree (slot_id);
CREATE INDEX index_drills_on_studio_id ON public.drills USING btree (studio_id);
CREATE UNIQUE INDEX index_drills_on_studio_id_and_id ON public.drills USING btree (studio_id, id);
CREATE INDEX index_drills_on_studio_id_and_piece_id ON public.drills USING btree (studio_id, piece_id);
CREATE INDEX index_drills_on_studio_id_and_rehearsal_id ON public.drills USING btree (studio_id, rehearsal_id);
CREATE INDEX index_eights_on_studio_id ON public.eights USING btree (studio_id);
CREATE UNIQUE INDEX index_eights_on_studio_id_and_id ON public.eights USING btree (studio_id, id);
CREATE INDEX index_eights_on_studio_id_and_section_id ON public.eights USING btree (studio_id, section_id);
CREATE INDEX index_evening_steps_on_studio_id ON public.evening_steps USING btree (studio_id);
CREATE UNIQUE INDEX index_evening_steps_on_studio_id_and_client_id ON public.evening_steps USING btree (studio_id, client_id);
CREATE UNIQUE INDEX index_evening_steps_on_studio_id_and_id ON public.evening_steps USING btree (studio_id, id);
CREATE INDEX index_evening_steps_on_studio_id_and_rehearsal_id ON public.evening_steps USING btree (studio_id, rehearsal_id);
CREATE INDEX index_evening_steps_on_studio_id_and_slot_id ON public.evening_steps USING btree (studio_id, slot_id);
CREATE INDEX index_evening_steps_on_studio_id_and_undoes ON public.evening_steps USING btree (studio_id, undoes);
CREATE INDEX index_evening_steps_on_studio_id_and_with_slot_id ON public.evening_steps USING btree (studio_id, with_slot_id);
CREATE INDEX index_formations_on_studio_id ON public.formations USING btree (studio_id);
CREATE UNIQUE INDEX index_formations_on_studio_id_and_id ON public.formations USING btree (studio_id, id);
CREATE INDEX index_givings_on_studio_id ON public.givings USING btree (studio_id);
CREATE UNIQUE INDEX index_givings_on_studio_id_and_id ON public.givings USING btree (studio_id, id);
CREATE INDEX index_givings_on_studio_id_and_note_id ON public.givings USING btree (studio_id, note_id);
CREATE INDEX index_givings_on_studio_id_and_rehearsal_id ON public.givings USING btree (studio_id, rehearsal_id);
CREATE UNIQUE INDEX index_group_members_on_group_id_and_person_id ON public.group_members USING btree (group_id, person_id);
CREATE INDEX index_group_members_on_studio_id ON public.group_members USING btree (studio_id);
CREATE INDEX index_group_members_on_studio_id_and_group_id ON public.group_members USING btree (studio_id, group_id);
CREATE UNIQUE INDEX index_group_members_on_studio_id_and_id ON public.group_members USING btree (studio_id, id);
CREATE INDEX index_group_members_on_studio_id_and_person_id ON public.group_members USING btree (studio_id, person_id);
CREATE INDEX index_groups_on_studio_id ON public.groups USING btree (studio_id);
CREATE UNIQUE INDEX index_groups_on_studio_id_and_id ON public.groups USING btree (studio_id, id);
CREATE INDEX index_groups_on_studio_id_and_leader_id ON public.groups USING btree (studio_id, leader_id);
CREATE INDEX index_groups_on_studio_id_and_piece_id ON public.groups USING btree (studio_id, piece_id);
CREATE UNIQUE INDEX index_habits_on_studio_id_and_id ON public.habits USING btree (studio_id, id);
CREATE INDEX index_habits_on_studio_id_and_person_id ON public.habits USING btree (studio_id, person_id);
CREATE INDEX index_hand_overs_on_studio_id ON public.hand_overs USING btree (studio_id);
CREATE UNIQUE INDEX index_hand_overs_on_studio_id_and_id ON public.hand_overs USING btree (studio_id, id);
CREATE INDEX index_hand_overs_on_studio_id_and_person_id ON public.hand_overs USING btree (studio_id, person_id);
CREATE UNIQUE INDEX index_heartbeats_on_name ON public.heartbeats USING btree (name);
CREATE INDEX index_invitations_on_studio_id ON public.invitations USING btree (studio_id);
CREATE UNIQUE INDEX index_invitations_on_studio_id_and_id ON public.invitations USING btree (studio_id, id);
CREATE INDEX index_invitations_on_studio_id_and_person_id ON public.invitations USING btree (studio_id, person_id);
CREATE UNIQUE INDEX index_invitations_on_token_digest ON public.invitations USING btree (token_digest);
CREATE UNIQUE INDEX index_join_facts_on_piece_id_and_join_key ON public.join_facts USING btree (piece_id, join_key);
CREATE INDEX index_join_facts_on_studio_id ON public.join_facts USING btree (studio_id);
CREATE UNIQUE INDEX index_join_facts_on_studio_id_and_id ON public.join_facts USING btree (studio_id, id);
CREATE INDEX index_learning_states_on_studio_id ON public.learning_states USING btree (studio_id);
CREATE UNIQUE INDEX index_learning_states_on_studio_id_and_id ON public.learning_states USING btree (studio_id, id);
CREATE INDEX index_learning_states_on_studio_id_and_person_id ON public.learning_states USING btree (studio_id, person_id);
CREATE INDEX index_learning_states_on_studio_id_and_piece_id ON public.learning_states USING btree (studio_id, piece_id);
CREATE INDEX index_ledger_entries_on_piece_id_and_id ON public.ledger_entries USING btree (piece_id, id);
CREATE INDEX index_ledger_entries_on_piece_id_and_person_id_and_item_key ON public.ledger_entries USING btree (piece_id, person_id, item_key);
CREATE INDEX index_ledger_entries_on_piece_id_and_seq ON public.ledger_entries USING btree (piece_id, seq);
CREATE INDEX index_ledger_entries_on_studio_id ON public.ledger_entries USING btree (studio_id);
CREATE UNIQUE INDEX index_ledger_entries_on_studio_id_and_client_id ON public.ledger_entries USING btree (studio_id, client_id);
CREATE UNIQUE INDEX index_ledger_entries_on_studio_id_and_id ON public.ledger_entries USING btree (studio_id, id);
CREATE INDEX index_ledger_entries_on_studio_id_and_person_id ON public.ledger_entries USING btree (studio_id, person_id);
CREATE INDEX index_ledger_entries_on_studio_id_and_piece_id ON public.ledger_entries USING btree (studio_id, piece_id);
CREATE INDEX index_links_on_studio_id ON public.links USING btree (studio_id);
CREATE UNIQUE INDEX index_links_on_studio_id_and_id ON public.links USING btree (studio_id, id);
CREATE INDEX index_links_on_studio_id_and_piece_id ON public.links USING btree (studio_id, piece_id);
CREATE INDEX index_links_on_studio_id_and_section_id ON public.links USING btree (studio_id, section_id);
CREATE INDEX index_mails_on_membership_id ON public.mails USING btree (membership_id) WHERE (held AND (gathered_at IS NULL));
CREATE INDEX index_mails_on_studio_id ON public.mails USING btree (studio_id);
CREATE INDEX index_memberships_on_account_id ON public.memberships USING btree (account_id);
CREATE UNIQUE INDEX index_memberships_on_mail_token ON public.memberships USING btree (mail_token);
CREATE INDEX index_memberships_on_studio_id ON public.memberships USING btree (studio_id);
CREATE UNIQUE INDEX index_memberships_on_studio_id_and_account_id ON public.memberships USING btree (studio_id, account_id);
CREATE UNIQUE INDEX index_memberships_on_studio_id_and_id ON public.memberships USING btree (studio_id, id);
CREATE INDEX index_memberships_on_studio_id_and_person_id ON public.memberships USING btree (studio_id, person_id);
CREATE INDEX index_memory_answers_on_studio_id ON public.memory_answers USING btree (studio_id);
CREATE UNIQUE INDEX index_memory_answers_on_studio_id_and_id ON public.memory_answers USING btree (studio_id, id);
CREATE INDEX index_memory_answers_on_studio_id_and_piece_id ON public.memory_answers USING btree (studio_id, piece_id);
CREATE INDEX index_notes_on_studio_id ON public.notes USING btree (studio_id);
CREATE INDEX index_notes_on_studio_id_and_asker_id ON public.notes USING btree (studio_id, asker_id);
CREATE UNIQUE INDEX index_notes_on_studio_id_and_client_id ON public.notes USING btree (studio_id, client_id);
CREATE INDEX index_notes_on_studio_id_and_group_id ON public.notes USING btree (studio_id, group_id);
CREATE UNIQUE INDEX index_notes_on_studio_id_and_id ON public.notes USING btree (studio_id, id);
CREATE INDEX index_notes_on_studio_id_and_person_id ON public.notes USING btree (studio_id, person_id);
CREATE INDEX index_notes_on_studio_id_and_piece_id ON public.notes USING btree (studio_id, piece_id);
CREATE INDEX index_notes_on_studio_id_and_rehearsal_id ON public.notes USING btree (studio_id, rehearsal_id);
CREATE INDEX index_notes_on_studio_id_and_run_id ON public.notes USING btree (studio_id, run_id);
CREATE INDEX index_notes_on_studio_id_and_section_id ON public.notes USING btree (studio_id, section_id);
CREATE INDEX index_notes_on_studio_id_and_slot_id ON public.notes USING btree (studio_id, slot_id);
CREATE INDEX index_overrulings_on_piece_id_and_id ON public.overrulings USING btree (piece_id, id);
CREATE INDEX index_overrulings_on_studio_id ON public.overrulings USING btree (studio_id);
CREATE UNIQUE INDEX index_overrulings_on_studio_id_and_id ON public.overrulings USING btree (studio_id, id);
CREATE INDEX index_own_steps_on_studio_id ON public.own_steps USING btree (studio_id);
CREATE UNIQUE INDEX index_own_steps_on_studio_id_and_id ON public.own_steps USING btree (studio_id, id);
CREATE UNIQUE INDEX index_parts_on_section_id_and_group_id ON public.parts USING btree (section_id, group_id);
CREATE INDEX index_parts_on_studio_id ON public.parts USING btree (studio_id);
CREATE INDEX index_parts_on_studio_id_and_group_id ON public.parts USING btree (studio_id, group_id);
CREATE UNIQUE INDEX index_parts_on_studio_id_and_id ON public.parts USING btree (studio_id, id);
CREATE INDEX index_parts_on_studio_id_and_section_id ON public.parts USING btree (studio_id, section_id);
CREATE INDEX index_passes_on_studio_id ON public.passes USING btree (studio_id);
CREATE UNIQUE INDEX index_passes_on_studio_id_and_client_id ON public.passes USING btree (studio_id, client_id);
CREATE UNIQUE INDEX index_passes_on_studio_id_and_id ON public.passes USING btree (studio_id, id);
CREATE INDEX index_passes_on_studio_id_and_piece_id ON public.passes USING btree (studio_id, piece_id);
CREATE INDEX index_passes_on_studio_id_and_rehearsal_id ON public.passes USING btree (studio_id, rehearsal_id);
CREATE INDEX index_passes_on_studio_id_and_slot_id ON public.passes USING btree (studio_id, slot_id);
CREATE INDEX index_passes_on_studio_id_and_undoes ON public.passes USING btree (studio_id, undoes);
CREATE INDEX index_password_resets_on_account_id ON public.password_resets USING btree (account_id);
CREATE UNIQUE INDEX index_password_resets_on_token_digest ON public.password_resets USING btree (token_digest);
CREATE UNIQUE INDEX index_people_on_sheet_token ON public.people USING btree (sheet_token);
CREATE INDEX index_people_on_studio_id ON public.people USING btree (studio_id);
CREATE UNIQUE INDEX index_people_on_studio_id_and_client_id ON public.people USING btree (studio_id, client_id);
CREATE INDEX index_people_on_studio_id_and_comes_with_id ON public.people USING btree (studio_id, comes_with_id);
CREATE UNIQUE INDEX index_people_on_studio_id_and_id ON public.people USING btree (studio_id, id);
CREATE INDEX index_person_links_on_studio_id ON public.person_links USING btree (studio_id);
CREATE UNIQUE INDEX index_person_links_on_studio_id_and_id ON public.person_links USING btree (studio_id, id);
CREATE INDEX index_person_links_on_studio_id_and_person_id ON public.person_links USING btree (studio_id, person_id);
CREATE UNIQUE INDEX index_person_links_on_token_digest ON public.person_links USING btree (token_digest);
CREATE INDEX index_pieces_on_studio_id ON public.pieces USING btree (studio_id);
CREATE UNIQUE INDEX index_pieces_on_studio_id_and_id ON public.pieces USING btree (studio_id, id);
CREATE INDEX index_plan_offers_on_piece_id_and_kind_and_id ON public.plan_offers USING btree (piece_id, kind, id);
CREATE INDEX index_plan_offers_on_studio_id ON public.plan_offers USING btree (studio_id);
CREATE UNIQUE INDEX index_plan_offers_on_studio_id_and_id ON public.plan_offers USING btree (studio_id, id);
CREATE UNIQUE INDEX index_plans_on_piece_id_and_number ON public.plans USING btree (piece_id, number);
CREATE INDEX index_plans_on_studio_id ON public.plans USING btree (studio_id);
CREATE UNIQUE INDEX index_plans_on_studio_id_and_id ON public.plans USING btree (studio_id, id);
CREATE INDEX index_plans_on_studio_id_and_piece_id ON public.plans USING btree (studio_id, piece_id);
CREATE INDEX index_program_tokens_on_studio_id ON public.program_tokens USING btree (studio_id);
CREATE UNIQUE INDEX index_program_tokens_on_studio_id_and_id ON public.program_tokens USING btree (studio_id, id);
CREATE UNIQUE INDEX index_program_tokens_on_token_digest ON public.program_tokens USING btree (token_digest);
CREATE INDEX index_rehearsal_rooms_on_studio_id ON public.rehearsal_rooms USING btree (studio_id);
CREATE UNIQUE INDEX index_rehearsal_rooms_on_studio_id_and_id ON public.rehearsal_rooms USING btree (studio_id, id);
CREATE INDEX index_rehearsal_rooms_on_studio_id_and_rehearsal_id ON public.rehearsal_rooms USING btree (studio_id, rehearsal_id);
CREATE INDEX index_rehearsal_rooms_on_studio_id_and_room_id ON public.rehearsal_rooms USING btree (studio_id, room_id);
CREATE INDEX index_rehearsals_on_studio_id ON public.rehearsals USING btree (studio_id);
CREATE INDEX index_rehearsals_on_studio_id_and_date ON public.rehearsals USING btree (studio_id, date);
CREATE UNIQUE INDEX index_rehearsals_on_studio_id_and_id ON public.rehearsals USING btree (studio_id, id);
CREATE UNIQUE INDEX index_revisions_on_piece_id_and_number ON public.revisions USING btree (piece_id, number);
CREATE INDEX index_revisions_on_studio_id ON public.revisions USING btree (studio_id);
CREATE UNIQUE INDEX index_revisions_on_studio_id_and_id ON public.revisions USING btree (studio_id, id);
CREATE INDEX index_revisions_on_studio_id_and_piece_id ON public.revisions USING btree (studio_id, piece_id);
CREATE INDEX index_rooms_on_studio_id ON public.rooms USING btree (studio_id);
CREATE UNIQUE INDEX index_rooms_on_studio_id_and_id ON public.rooms USING btree (studio_id, id);
CREATE INDEX index_run_steps_on_studio_id ON public.run_steps USING btree (studio_id);
CREATE UNIQUE INDEX index_run_steps_on_studio_id_and_client_id ON public.run_steps USING btree (studio_id, client_id);
CREATE UNIQUE INDEX index_run_steps_on_studio_id_and_id ON public.run_steps USING btree (studio_id, id);
CREATE INDEX index_run_steps_on_studio_id_and_run_id ON public.run_steps USING btree (studio_id, run_id);
CREATE INDEX index_run_steps_on_studio_id_and_undoes ON public.run_steps USING btree (studio_id, undoes);
CREATE INDEX index_runs_on_studio_id ON public.runs USING btree (studio_id);
CREATE UNIQUE INDEX index_runs_on_studio_id_and_client_id ON public.runs USING btree (studio_id, client_id);
CREATE UNIQUE INDEX index_runs_on_studio_id_and_id ON public.runs USING btree (studio_id, id);
CREATE INDEX index_runs_on_studio_id_and_piece_id ON public.runs USING btree (studio_id, piece_id);
CREATE INDEX index_runs_on_studio_id_and_rehearsal_id ON public.runs USING btree (studio_id, rehearsal_id);
CREATE INDEX index_runs_on_studio_id_and_undoes ON public.runs USING btree (studio_id, undoes);
CREATE INDEX index_season_days_on_studio_id_and_from_date ON public.season_days USING btree (studio_id, from_date);
CREATE UNIQUE INDEX index_season_days_on_studio_id_and_id ON public.season_days USING btree (studio_id, id);
CREATE UNIQUE INDEX index_section_teachers_on_section_id_and_person_id ON public.section_teachers USING btree (section_id, person_id);
CREATE INDEX index_section_teachers_on_studio_id ON public.section_teachers USING btree (studio_id);
CREATE UNIQUE INDEX index_section_teachers_on_studio_id_and_id ON public.section_teachers USING btree (studio_id, id);
CREATE INDEX index_sections_on_studio_id ON public.sections USING btree (studio_id);
CREATE INDEX index_sections_on_studio_id_and_choreographer_id ON public.sections USING btree (studio_id, choreographer_id);
CREATE UNIQUE INDEX index_sections_on_studio_id_and_id ON public.sections USING btree (studio_id, id);
CREATE INDEX index_sections_on_studio_id_and_piece_id ON public.sections USING btree (studio_id, piece_id);
CREATE INDEX index_sign_ins_on_account_id ON public.sign_ins USING btree (account_id);
CREATE UNIQUE INDEX index_sign_ins_on_token_digest ON public.sign_ins USING btree (token_digest);
CREATE INDEX index_slot_people_on_studio_id ON public.slot_people USING btree (studio_id);
CREATE UNIQUE INDEX index_slot_people_on_studio_id_and_id ON public.slot_people USING btree (studio_id, id);
CREATE INDEX index_slot_people_on_studio_id_and_person_id ON public.slot_people USING btree (studio_id, person_id);
CREATE INDEX index_slot_people_on_studio_id_and_slot_id ON public.slot_people USING btree (studio_id, slot_id);
CREATE INDEX index_slots_on_studio_id ON public.slots USING btree (studio_id);
CREATE UNIQUE INDEX index_slots_on_studio_id_and_id ON public.slots USING btree (studio_id, id);
CREATE INDEX index_slots_on_studio_id_and_plan_id ON public.slots USING btree (studio_id, plan_id);
CREATE INDEX index_slots_on_studio_id_and_rehearsal_id ON public.slots USING btree (studio_id, rehearsal_id);
CREATE INDEX index_slots_on_studio_id_and_room_id ON public.slots USING btree (studio_id, room_id);
CREATE UNIQUE INDEX index_spots_on_formation_id_and_person_id ON public.spots USING btree (formation_id, person_id);
CREATE INDEX index_spots_on_studio_id ON public.spots USING btree (studio_id);
CREATE UNIQUE INDEX index_spots_on_studio_id_and_id ON public.spots USING btree (studio_id, id);
CREATE INDEX index_submissions_on_created_at ON public.submissions USING btree (created_at);
CREATE INDEX index_submissions_on_studio_id ON public.submissions USING btree (studio_id);
CREATE UNIQUE INDEX index_submissions_on_studio_id_and_id ON public.submissions USING btree (studio_id, id);
CREATE UNIQUE INDEX index_submissions_on_studio_id_and_key ON public.submissions USING btree (studio_id, key);
CREATE INDEX index_teachings_on_studio_id ON public.teachings USING btree (studio_id);
CREATE INDEX index_teachings_on_studio_id_and_section_id_and_id ON public.teachings USING btree (studio_id, section_id, id);
CREATE INDEX index_tracks_on_studio_id ON public.tracks USING btree (studio_id);
CREATE UNIQUE INDEX index_tracks_on_studio_id_and_id ON public.tracks USING btree (studio_id, id);
CREATE INDEX index_tracks_on_studio_id_and_piece_id ON public.tracks USING btree (studio_id, piece_id);
CREATE INDEX index_transfers_on_account_id ON public.transfers USING btree (account_id);
CREATE INDEX index_transfers_on_studio_id ON public.transfers USING btree (studio_id);
CREATE UNIQUE INDEX index_tries_on_kind_and_key_and_since ON public.tries USING btree (kind, key, since);
CREATE INDEX index_tries_on_since ON public.tries USING btree (since);
CREATE INDEX index_trouble_people_on_studio_id ON public.trouble_people USING btree (studio_id);
CREATE UNIQUE INDEX index_trouble_people_on_studio_id_and_id ON public.trouble_people USING btree (studio_id, id);
CREATE INDEX index_trouble_people_on_studio_id_and_person_id ON public.trouble_people USING btree (studio_id, person_id);
CREATE INDEX index_trouble_people_on_studio_id_and_trouble_id ON public.trouble_people USING btree (studio_id, trouble_id);
CREATE UNIQUE INDEX index_trouble_people_on_trouble_id_and_person_id ON public.trouble_people USING btree (trouble_id, person_id);
CREATE INDEX index_troubles_on_studio_id ON public.troubles USING btree (studio_id);
CREATE UNIQUE INDEX index_troubles_on_studio_id_and_client_id ON public.troubles USING btree (studio_id, client_id);
CREATE INDEX index_troubles_on_studio_id_and_group_id ON public.troubles USING btree (studio_id, group_id);
CREATE UNIQUE INDEX index_troubles_on_studio_id_and_id ON public.troubles USING btree (studio_id, id);
CREATE INDEX index_troubles_on_studio_id_and_piece_id ON public.troubles USING btree (studio_id, piece_id);
CREATE INDEX index_troubles_on_studio_id_and_run_id ON public.troubles USING btree (studio_id, run_id);
CREATE INDEX index_understudies_on_studio_id ON public.understudies USING btree (studio_id);
CREATE UNIQUE INDEX index_understudies_on_studio_id_and_id ON public.understudies USING btree (studio_id, id);
CREATE INDEX index_uploads_on_studio_id ON public.uploads USING btree (studio_id);
CREATE UNIQUE INDEX index_uploads_on_studio_id_and_id ON public.uploads USING btree (studio_id, id);
CREATE INDEX index_uploads_on_studio_id_and_piece_id ON public.uploads USING btree (studio_id, piece_id);
CREATE INDEX index_uploads_on_studio_id_and_run_id ON public.uploads USING btree (studio_id, run_id);
CREATE INDEX index_uploads_on_studio_id_and_section_id ON public.uploads USING btree (studio_id, section_id);
CREATE INDEX index_version_people_on_studio_id ON public.version_people USING btree (studio_id);
CREATE UNIQUE INDEX index_version_people_on_studio_id_and_id ON public.version_people USING btree (studio_id, id);
CREATE UNIQUE INDEX index_versions_on_section_id_and_kind ON public.versions USING btree (section_id, kind);
CREATE INDEX index_versions_on_studio_id ON public.versions USING btree (studio_id);
CREATE UNIQUE INDEX index_versions_on_studio_id_and_id ON public.versions USING btree (studio_id, id);
CREATE UNIQUE INDEX index_visits_on_person_id_and_date ON public.visits USING btree (person_id, date);
CREATE INDEX index_visits_on_studio_id ON public.visits USING btree (studio_id);
CREATE UNIQUE INDEX index_visits_on_studio_id_and_id ON public.visits USING btree (studio_id, id);
CREATE INDEX index_visits_on_studio_id_and_person_id ON public.visits USING btree (studio_id, person_id);
CREATE INDEX index_word_meanings_on_studio_id ON public.word_meanings USING btree (studio_id);
CREATE UNIQUE INDEX index_word_meanings_on_studio_id_and_id ON public.word_meanings USING btree (studio_id, id);
CREATE UNIQUE INDEX one_formation_a_moment ON public.formations USING btree (link_id, moment, COALESCE(count, 0));
CREATE UNIQUE INDEX one_state_a_strand ON public.learning_states USING btree (piece_id, person_id, item_key, track, layer, covers_person_id) NULLS NOT DISTINCT;
CREATE UNIQUE INDEX one_version_a_group ON public.version_people USING btree (group_id, COALESCE(section_id, (0)::bigint));
CREATE UNIQUE INDEX one_version_each ON public.version_people USING btree (piece_id, person_id, COALESCE(section_id, (0)::bigint));
CREATE UNIQUE INDEX own_steps_by_name ON public.own_steps USING btree (studio_id, lower((name)::text));
CREATE INDEX que_jobs_args_gin_idx ON public.que_jobs USING gin (args jsonb_path_ops);
CREATE INDEX que_jobs_data_gin_idx ON public.que_jobs USING gin (data jsonb_path_ops);
CREATE INDEX que_jobs_kwargs_gin_idx ON public.que_jobs USING gin (kwargs jsonb_path_ops);
CREATE INDEX que_poll_idx ON public.que_jobs USING btree (job_schema_version, queue, priority, run_at, id) WHERE ((finished_at IS NULL) AND (expired_at IS NULL));
CREATE UNIQUE INDEX word_meanings_that_hold ON public.word_meanings USING btree (studio_id, COALESCE(teacher_id, (0)::bigint), word) WHERE (undone_at IS NULL);
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.agreements FOR EACH ROW EXECUTE FUNCTION public.keep_what_was_written();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.attendance_entries FOR EACH ROW EXECUTE FUNCTION public.keep_what_was_written();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.evening_steps FOR EACH ROW EXECUTE FUNCTION public.keep_what_was_written();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.ledger_entries FOR EACH ROW EXECUTE FUNCTION public.keep_what_was_written();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.overrulings FOR EACH ROW EXECUTE FUNCTION public.keep_what_was_written();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.passes FOR EACH ROW EXECUTE FUNCTION public.keep_what_was_written();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.revisions FOR EACH ROW EXECUTE FUNCTION public.keep_what_was_written();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.run_steps FOR EACH ROW EXECUTE FUNCTION public.keep_what_was_written();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.runs FOR EACH ROW EXECUTE FUNCTION public.keep_what_was_written();
CREATE CONSTRAINT TRIGGER keeps_a_director AFTER DELETE OR UPDATE OF role ON public.memberships DEFERRABLE INITIALLY DEFERRED FOR EACH ROW WHEN (((old.role)::text = 'director'::text)) EXECUTE FUNCTION public.keep_a_director();
CREATE TRIGGER que_job_notify AFTER INSERT ON public.que_jobs FOR EACH ROW WHEN ((NOT (COALESCE(current_setting('que.skip_notify'::text, true), ''::text) = 'true'::text))) EXECUTE FUNCTION public.que_job_notify();
CREATE TRIGGER que_state_notify AFTER INSERT OR DELETE OR UPDATE ON public.que_jobs FOR EACH ROW WHEN ((NOT (COALESCE(current_setting('que.skip_notify'::text, true), ''::text) = 'true'::text))) EXECUTE FUNCTION public.que_state_notify();
CREATE CONSTRAINT TRIGGER raise_is_raised AFTER INSERT ON public.raised_seasons DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.absences DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.attendances DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.people DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE OF show_date, settings, archived_at ON public.pieces DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE OF published_at, replaced_at, result, school, lock_version ON public.plans DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.rehearsal_rooms DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.rehearsals DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.rooms DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.season_days DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.section_teachers DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.sections DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.slot_people DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.slots DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR UPDATE OF settings, time_zone ON public.studios DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_own_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.teachings DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.visits DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.note_season();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.agreements DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_agreements();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.asides DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_asides();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.castings DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_castings();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.eights DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_eights();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.formations DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_formations();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.group_members DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_group_members();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.groups DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_groups();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.join_facts DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_join_facts();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.links DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_links();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.own_steps DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_of_studio();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.parts DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_parts();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.people DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_of_studio();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR UPDATE OF title, show_date, settings, archived_at ON public.pieces DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_own_work();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.revisions DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_revisions();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.section_teachers DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_section_teachers();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.sections DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_sections();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.spots DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_spots();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.tracks DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_tracks();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.understudies DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_understudies();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.version_people DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_version_people();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.versions DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_by_versions();
CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR DELETE OR UPDATE ON public.word_meanings DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION public.raise_work_of_studio();
ALTER TABLE ONLY public.absences
    ADD CONSTRAINT absences_studio_id_habit_id_fkey FOREIGN KEY (studio_id, habit_id) REFERENCES public.habits(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.understudies
    ADD CONSTRAINT fk_rails_01d4e81639 FOREIGN KEY (studio_id, covers_person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.word_meanings
    ADD CONSTRAINT fk_rails_02c91d5fa3 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.sections
    ADD CONSTRAINT fk_rails_0311835d27 FOREIGN KEY (studio_id, choreographer_id) REFERENCES public.people(studio_id, id);
ALTER TABLE ONLY public.program_tokens
    ADD CONSTRAINT fk_rails_04406b6fca FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.versions
    ADD CONSTRAINT fk_rails_051279b197 FOREIGN KEY (studio_id, section_id) REFERENCES public.sections(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.trouble_people
    ADD CONSTRAINT fk_rails_05491c2c48 FOREIGN KEY (studio_id, trouble_id) REFERENCES public.troubles(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.version_people
    ADD CONSTRAINT fk_rails_05c3a21f47 FOREIGN KEY (studio_id, group_id) REFERENCES public.groups(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.mails
    ADD CONSTRAINT fk_rails_0914dc473d FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.rehearsal_rooms
    ADD CONSTRAINT fk_rails_097c9c7fb6 FOREIGN KEY (studio_id, room_id) REFERENCES public.rooms(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.password_resets
    ADD CONSTRAINT fk_rails_0a0ffaf0f0 FOREIGN KEY (account_id) REFERENCES public.accounts(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.agreements
    ADD CONSTRAINT fk_rails_0d8285900d FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.uploads
    ADD CONSTRAINT fk_rails_0dd8bb0da3 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.ledger_entries
    ADD CONSTRAINT fk_rails_10a0499960 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.spots
    ADD CONSTRAINT fk_rails_11528a24c2 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.understudies
    ADD CONSTRAINT fk_rails_11d6e5332b FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.spots
    ADD CONSTRAINT fk_rails_12aa1d2835 FOREIGN KEY (studio_id, formation_id) REFERENCES public.formations(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.plans
    ADD CONSTRAINT fk_rails_166eb11f65 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.person_links
    ADD CONSTRAINT fk_rails_17b290fe15 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.teachings
    ADD CONSTRAINT fk_rails_182ae5372b FOREIGN KEY (studio_id, section_id) REFERENCES public.sections(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.calendar_links
    ADD CONSTRAINT fk_rails_183c96e78e FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.understudies
    ADD CONSTRAINT fk_rails_1947a083d2 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.passes
    ADD CONSTRAINT fk_rails_1ca52260ea FOREIGN KEY (studio_id, slot_id) REFERENCES public.slots(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.sign_ins
    ADD CONSTRAINT fk_rails_1ca8d4503c FOREIGN KEY (account_id) REFERENCES public.accounts(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.passes
    ADD CONSTRAINT fk_rails_1fd7b96226 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.memory_answers
    ADD CONSTRAINT fk_rails_2090c3dc85 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.drill_people
    ADD CONSTRAINT fk_rails_2136d4ae76 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.notes
    ADD CONSTRAINT fk_rails_21c3012618 FOREIGN KEY (studio_id, slot_id) REFERENCES public.slots(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.join_facts
    ADD CONSTRAINT fk_rails_22ae820aa0 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.groups
    ADD CONSTRAINT fk_rails_255957d3d4 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.attendances
    ADD CONSTRAINT fk_rails_25766b81ca FOREIGN KEY (studio_id, rehearsal_id) REFERENCES public.rehearsals(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.notes
    ADD CONSTRAINT fk_rails_27e5970101 FOREIGN KEY (studio_id, asker_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.version_people
    ADD CONSTRAINT fk_rails_28b543ff41 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.memberships
    ADD CONSTRAINT fk_rails_2b7c6a62d0 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id);
ALTER TABLE ONLY public.eights
    ADD CONSTRAINT fk_rails_2cc9d69e19 FOREIGN KEY (studio_id, section_id) REFERENCES public.sections(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.people
    ADD CONSTRAINT fk_rails_2e4d98b701 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.group_members
    ADD CONSTRAINT fk_rails_2f9c78e848 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.calendar_links
    ADD CONSTRAINT fk_rails_300a4b74c2 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.castings
    ADD CONSTRAINT fk_rails_37ab19bbde FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.drills
    ADD CONSTRAINT fk_rails_37e1482a80 FOREIGN KEY (studio_id, rehearsal_id) REFERENCES public.rehearsals(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.visits
    ADD CONSTRAINT fk_rails_38789650e0 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.evening_steps
    ADD CONSTRAINT fk_rails_38a5829e21 FOREIGN KEY (studio_id, with_slot_id) REFERENCES public.slots(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.word_meanings
    ADD CONSTRAINT fk_rails_3a1b72c97d FOREIGN KEY (studio_id, teacher_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.troubles
    ADD CONSTRAINT fk_rails_3a40e61b4a FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.absences
    ADD CONSTRAINT fk_rails_3afb7d2006 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.version_people
    ADD CONSTRAINT fk_rails_3c3df7a96d FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.asides
    ADD CONSTRAINT fk_rails_429257c0ff FOREIGN KEY (account_id) REFERENCES public.accounts(id) ON DELETE SET NULL;
ALTER TABLE ONLY public.parts
    ADD CONSTRAINT fk_rails_47b1af0a57 FOREIGN KEY (studio_id, section_id) REFERENCES public.sections(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.own_steps
    ADD CONSTRAINT fk_rails_49a0684e38 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.word_meanings
    ADD CONSTRAINT fk_rails_4de1397b00 FOREIGN KEY (account_id) REFERENCES public.accounts(id) ON DELETE SET NULL;
ALTER TABLE ONLY public.own_steps
    ADD CONSTRAINT fk_rails_508e1305e6 FOREIGN KEY (account_id) REFERENCES public.accounts(id) ON DELETE SET NULL;
ALTER TABLE ONLY public.notes
    ADD CONSTRAINT fk_rails_50e6c9ddbf FOREIGN KEY (studio_id, section_id) REFERENCES public.sections(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.parts
    ADD CONSTRAINT fk_rails_52b6c55ede FOREIGN KEY (studio_id, group_id) REFERENCES public.groups(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.teachings
    ADD CONSTRAINT fk_rails_531a7b63db FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.notes
    ADD CONSTRAINT fk_rails_54c9779ee8 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.trouble_people
    ADD CONSTRAINT fk_rails_567b193162 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.castings
    ADD CONSTRAINT fk_rails_589c7820c7 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.understudies
    ADD CONSTRAINT fk_rails_58c350aaf0 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.troubles
    ADD CONSTRAINT fk_rails_58eca8a313 FOREIGN KEY (studio_id, run_id) REFERENCES public.runs(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.learning_states
    ADD CONSTRAINT fk_rails_5925df6c1d FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.drills
    ADD CONSTRAINT fk_rails_5a6039d370 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.sections
    ADD CONSTRAINT fk_rails_5c872c7b6e FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.notes
    ADD CONSTRAINT fk_rails_5d3f941c96 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.plans
    ADD CONSTRAINT fk_rails_5d5e56d05a FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.formations
    ADD CONSTRAINT fk_rails_5e0544843b FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.rehearsal_rooms
    ADD CONSTRAINT fk_rails_5f0523990c FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.tracks
    ADD CONSTRAINT fk_rails_61022f2392 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.drills
    ADD CONSTRAINT fk_rails_62a8686494 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.slot_people
    ADD CONSTRAINT fk_rails_6312c3a35c FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.teachings
    ADD CONSTRAINT fk_rails_6457a6298f FOREIGN KEY (studio_id, group_id) REFERENCES public.groups(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.links
    ADD CONSTRAINT fk_rails_6888b30c51 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.learning_states
    ADD CONSTRAINT fk_rails_6ab2f35aa3 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.evening_steps
    ADD CONSTRAINT fk_rails_6ac3daebc1 FOREIGN KEY (studio_id, rehearsal_id) REFERENCES public.rehearsals(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.hand_overs
    ADD CONSTRAINT fk_rails_6bb1cd49cb FOREIGN KEY (studio_id, membership_id) REFERENCES public.memberships(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.formations
    ADD CONSTRAINT fk_rails_6f4881f976 FOREIGN KEY (studio_id, link_id) REFERENCES public.links(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.revisions
    ADD CONSTRAINT fk_rails_725a2e33d2 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.asks
    ADD CONSTRAINT fk_rails_725cfdf35e FOREIGN KEY (account_id) REFERENCES public.accounts(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.memberships
    ADD CONSTRAINT fk_rails_75e99b00c6 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.ledger_entries
    ADD CONSTRAINT fk_rails_767d7304d4 FOREIGN KEY (studio_id, covers_person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.consents
    ADD CONSTRAINT fk_rails_76a7616629 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.asides
    ADD CONSTRAINT fk_rails_78f89fa7be FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.version_people
    ADD CONSTRAINT fk_rails_79629039f8 FOREIGN KEY (studio_id, section_id) REFERENCES public.sections(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.plan_offers
    ADD CONSTRAINT fk_rails_7fadbe106e FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.run_steps
    ADD CONSTRAINT fk_rails_7fc17046ce FOREIGN KEY (studio_id, run_id) REFERENCES public.runs(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.overrulings
    ADD CONSTRAINT fk_rails_82fdeaa1ea FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.notes
    ADD CONSTRAINT fk_rails_88daa5911b FOREIGN KEY (studio_id, rehearsal_id) REFERENCES public.rehearsals(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.run_steps
    ADD CONSTRAINT fk_rails_88e107979c FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.asides
    ADD CONSTRAINT fk_rails_8a5859201a FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.visits
    ADD CONSTRAINT fk_rails_8c07bc28b8 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.givings
    ADD CONSTRAINT fk_rails_8c4da2df63 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.overrulings
    ADD CONSTRAINT fk_rails_8d228aed6c FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.attendances
    ADD CONSTRAINT fk_rails_8eaac62a34 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.evening_steps
    ADD CONSTRAINT fk_rails_904862b8dc FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.memory_answers
    ADD CONSTRAINT fk_rails_94e020d11c FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.slot_people
    ADD CONSTRAINT fk_rails_95c03dff4a FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.rehearsals
    ADD CONSTRAINT fk_rails_9832246314 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.calendar_links
    ADD CONSTRAINT fk_rails_99baa2d5c9 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.plan_offers
    ADD CONSTRAINT fk_rails_9b079ba749 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.groups
    ADD CONSTRAINT fk_rails_9bbb92a990 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.castings
    ADD CONSTRAINT fk_rails_9d82fa1322 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.eights
    ADD CONSTRAINT fk_rails_9dceece9a9 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.evening_steps
    ADD CONSTRAINT fk_rails_a1a142f894 FOREIGN KEY (studio_id, slot_id) REFERENCES public.slots(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.troubles
    ADD CONSTRAINT fk_rails_a3a495fe9c FOREIGN KEY (studio_id, group_id) REFERENCES public.groups(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.drill_people
    ADD CONSTRAINT fk_rails_a4272dc8a8 FOREIGN KEY (studio_id, drill_id) REFERENCES public.drills(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.ledger_entries
    ADD CONSTRAINT fk_rails_a472e24984 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.clip_people
    ADD CONSTRAINT fk_rails_a6e6adaa9e FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.passes
    ADD CONSTRAINT fk_rails_a7d960b34d FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.uploads
    ADD CONSTRAINT fk_rails_a897fa400d FOREIGN KEY (studio_id, run_id) REFERENCES public.runs(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.troubles
    ADD CONSTRAINT fk_rails_a8b02933c8 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.version_people
    ADD CONSTRAINT fk_rails_aa2512ef34 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.attendances
    ADD CONSTRAINT fk_rails_ae9bcb5c08 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.group_members
    ADD CONSTRAINT fk_rails_aeb43e5e9b FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.versions
    ADD CONSTRAINT fk_rails_af69958e2a FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.links
    ADD CONSTRAINT fk_rails_b11c1d011a FOREIGN KEY (studio_id, section_id) REFERENCES public.sections(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.rooms
    ADD CONSTRAINT fk_rails_b233ba1c75 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.consents
    ADD CONSTRAINT fk_rails_b23add8caa FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.invitations
    ADD CONSTRAINT fk_rails_b59a4f1770 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id);
ALTER TABLE ONLY public.section_teachers
    ADD CONSTRAINT fk_rails_b71b49e6e0 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.pieces
    ADD CONSTRAINT fk_rails_b868a7b631 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.attendance_entries
    ADD CONSTRAINT fk_rails_b955d9c47a FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.agreements
    ADD CONSTRAINT fk_rails_ba6c5ad1aa FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.trouble_people
    ADD CONSTRAINT fk_rails_bae2c1d2f5 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.slot_people
    ADD CONSTRAINT fk_rails_bd8339cd47 FOREIGN KEY (studio_id, slot_id) REFERENCES public.slots(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.clip_people
    ADD CONSTRAINT fk_rails_be0d67065a FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.links
    ADD CONSTRAINT fk_rails_be5a74381e FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.formations
    ADD CONSTRAINT fk_rails_bfd8240060 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.runs
    ADD CONSTRAINT fk_rails_c52b215c02 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.calendar_links
    ADD CONSTRAINT fk_rails_c72d67feb5 FOREIGN KEY (studio_id, room_id) REFERENCES public.rooms(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.runs
    ADD CONSTRAINT fk_rails_ca3e4716ee FOREIGN KEY (studio_id, rehearsal_id) REFERENCES public.rehearsals(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.slots
    ADD CONSTRAINT fk_rails_ca5f77944f FOREIGN KEY (studio_id, rehearsal_id) REFERENCES public.rehearsals(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.submissions
    ADD CONSTRAINT fk_rails_ca9aa5b7ab FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.attendance_entries
    ADD CONSTRAINT fk_rails_cacc9164dd FOREIGN KEY (studio_id, rehearsal_id) REFERENCES public.rehearsals(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.uploads
    ADD CONSTRAINT fk_rails_cb8b774c93 FOREIGN KEY (studio_id, section_id) REFERENCES public.sections(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.join_facts
    ADD CONSTRAINT fk_rails_cd0030437b FOREIGN KEY (studio_id, owner_id) REFERENCES public.people(studio_id, id);
ALTER TABLE ONLY public.ledger_entries
    ADD CONSTRAINT fk_rails_cdf5f19a4a FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.slots
    ADD CONSTRAINT fk_rails_ce43e2eb08 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.notes
    ADD CONSTRAINT fk_rails_ce8950702d FOREIGN KEY (studio_id, group_id) REFERENCES public.groups(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.slots
    ADD CONSTRAINT fk_rails_cee7eadd5f FOREIGN KEY (studio_id, room_id) REFERENCES public.rooms(studio_id, id);
ALTER TABLE ONLY public.notes
    ADD CONSTRAINT fk_rails_d16959f6e7 FOREIGN KEY (studio_id, run_id) REFERENCES public.runs(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.invitations
    ADD CONSTRAINT fk_rails_d18c1e67bb FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.mails
    ADD CONSTRAINT fk_rails_d3d1394c96 FOREIGN KEY (membership_id) REFERENCES public.memberships(id) ON DELETE SET NULL;
ALTER TABLE ONLY public.person_links
    ADD CONSTRAINT fk_rails_d50794f12a FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.rehearsal_rooms
    ADD CONSTRAINT fk_rails_d9a09acb5e FOREIGN KEY (studio_id, rehearsal_id) REFERENCES public.rehearsals(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.passes
    ADD CONSTRAINT fk_rails_db2575d46a FOREIGN KEY (studio_id, rehearsal_id) REFERENCES public.rehearsals(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.tracks
    ADD CONSTRAINT fk_rails_e108044ae6 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.section_teachers
    ADD CONSTRAINT fk_rails_e256e8075a FOREIGN KEY (studio_id, section_id) REFERENCES public.sections(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.spots
    ADD CONSTRAINT fk_rails_e29cc8cbc7 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.attendance_entries
    ADD CONSTRAINT fk_rails_e3087a2aad FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.transfers
    ADD CONSTRAINT fk_rails_e33bbc3d7d FOREIGN KEY (account_id) REFERENCES public.accounts(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.slots
    ADD CONSTRAINT fk_rails_e38f9d1d0e FOREIGN KEY (studio_id, plan_id) REFERENCES public.plans(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.asks
    ADD CONSTRAINT fk_rails_e3da9a19e1 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.section_teachers
    ADD CONSTRAINT fk_rails_e3f6986a33 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.transfers
    ADD CONSTRAINT fk_rails_e460da90f3 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.givings
    ADD CONSTRAINT fk_rails_e49b227260 FOREIGN KEY (studio_id, rehearsal_id) REFERENCES public.rehearsals(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.drill_people
    ADD CONSTRAINT fk_rails_e5b6932575 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.runs
    ADD CONSTRAINT fk_rails_e6705d8ae6 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.sections
    ADD CONSTRAINT fk_rails_e68e22cbbf FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.clip_people
    ADD CONSTRAINT fk_rails_e71c462508 FOREIGN KEY (studio_id, upload_id) REFERENCES public.uploads(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.hand_overs
    ADD CONSTRAINT fk_rails_e7e4ffa632 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.habits
    ADD CONSTRAINT fk_rails_e84d569eb9 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.groups
    ADD CONSTRAINT fk_rails_e869f2a48e FOREIGN KEY (studio_id, leader_id) REFERENCES public.people(studio_id, id);
ALTER TABLE ONLY public.givings
    ADD CONSTRAINT fk_rails_ea473a3604 FOREIGN KEY (studio_id, note_id) REFERENCES public.notes(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.group_members
    ADD CONSTRAINT fk_rails_ed09da69c7 FOREIGN KEY (studio_id, group_id) REFERENCES public.groups(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.memberships
    ADD CONSTRAINT fk_rails_edbc202c67 FOREIGN KEY (account_id) REFERENCES public.accounts(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.join_facts
    ADD CONSTRAINT fk_rails_eddc2ece94 FOREIGN KEY (studio_id, piece_id) REFERENCES public.pieces(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.hand_overs
    ADD CONSTRAINT fk_rails_ee213c75d4 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.learning_states
    ADD CONSTRAINT fk_rails_ee46b000db FOREIGN KEY (studio_id, covers_person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.notes
    ADD CONSTRAINT fk_rails_f11a0907b0 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.uploads
    ADD CONSTRAINT fk_rails_f1d4ba3398 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.learning_states
    ADD CONSTRAINT fk_rails_f1de8a8b38 FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.season_days
    ADD CONSTRAINT fk_rails_f28ce76cd6 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.calendar_links
    ADD CONSTRAINT fk_rails_f50c24c617 FOREIGN KEY (person_link_id) REFERENCES public.person_links(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.absences
    ADD CONSTRAINT fk_rails_f7448fe66c FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.parts
    ADD CONSTRAINT fk_rails_fb28b7009c FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.revisions
    ADD CONSTRAINT fk_rails_ff82589331 FOREIGN KEY (studio_id) REFERENCES public.studios(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.habits
    ADD CONSTRAINT habits_studio_id_person_id_fkey FOREIGN KEY (studio_id, person_id) REFERENCES public.people(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.people
    ADD CONSTRAINT people_studio_id_comes_with_id_fkey FOREIGN KEY (studio_id, comes_with_id) REFERENCES public.people(studio_id, id) ON DELETE SET NULL (comes_with_id);
ALTER TABLE ONLY public.season_days
    ADD CONSTRAINT season_days_studio_id_group_id_fkey FOREIGN KEY (studio_id, group_id) REFERENCES public.groups(studio_id, id) ON DELETE CASCADE;
INSERT INTO public.schema_migrations (version) VALUES
  ('20261124000001'),
  ('20261124000002'),
  ('20261124000003'),
  ('20261124000004'),
  ('20261124000005'),
  ('20261124000006'),
  ('20261125000007'),
  ('20261125000008'),
  ('20261125000009'),
  ('20261125000010'),
  ('20261125000011'),
  ('20261126000012'),
  ('20261126000013'),
  ('20261126000014'),
  ('20261126000015'),
  ('20261126000016'),
  ('20261126000017'),
  ('20261126000018'),
  ('20261126000019'),
  ('20261126000020'),
  ('20261126000021'),
  ('20261126000022'),
  ('20261126000023'),
  ('20261126000024'),
  ('20261126000025'),
  ('20261126000026'),
  ('20261126000027'),
  ('20261201000028'),
  ('20261201000029'),
  ('20261201000030'),
  ('20261201000031'),
  ('20261201000032'),
  ('20261201000033'),
  ('20261201000034'),
  ('20261201000035'),
  ('20261201000036'),
  ('20261201000037'),
  ('20261201000038'),
  ('20261201000039'),
  ('20261201000040'),
  ('20261201000041'),
  ('20261202000042'),
  ('20261202000043'),
  ('20261202000044'),
  ('20261202000045'),
  ('20261202000046');
