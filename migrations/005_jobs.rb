# frozen_string_literal: true

# A visit from taking in to handing over: findings, stops, work, the rack, and what stays fitted.
Sequel.migration do
  up do
    run <<~SQL
      CREATE SEQUENCE job_numbers START 1001;
      CREATE TABLE jobs (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        number bigint NOT NULL DEFAULT nextval('job_numbers') CONSTRAINT jobs_number UNIQUE,
        machine_id bigint NOT NULL REFERENCES machines,
        customer_id bigint NOT NULL REFERENCES customers,
        sheet_version_id bigint NOT NULL REFERENCES sheet_versions,
        state text NOT NULL DEFAULT 'taken_in' CONSTRAINT jobs_state CHECK (state IN
          ('taken_in', 'looked_over', 'settled', 'in_work', 'waiting', 'closed_up', 'handed_over', 'declined', 'referred')),
        complaint text NOT NULL CONSTRAINT jobs_complaint_length CHECK (length(complaint) BETWEEN 1 AND 2000),
        came_with text CONSTRAINT jobs_came_with_length CHECK (length(came_with) <= 500),
        made_safe_at timestamptz NOT NULL, made_safe_by bigint NOT NULL REFERENCES people,
        promise_at timestamptz, promise_reason text,
        agreed_name text, agreed_how text CONSTRAINT jobs_agreed_how CHECK (agreed_how IN ('counter', 'phone', 'message')), agreed_at timestamptz,
        wet_reason text, wet_by bigint REFERENCES people,
        request_key uuid NOT NULL CONSTRAINT jobs_taken_in_once UNIQUE,
        lock_version integer NOT NULL DEFAULT 0,
        taken_in_by bigint NOT NULL REFERENCES people, taken_in_at timestamptz NOT NULL,
        closed_up_at timestamptz, handed_over_at timestamptz,
        CONSTRAINT jobs_wet_needs_a_name CHECK ((wet_reason IS NULL) = (wet_by IS NULL)));
      CREATE UNIQUE INDEX jobs_one_open_per_machine ON jobs (machine_id) WHERE state <> 'handed_over';
      CREATE INDEX jobs_machine ON jobs (machine_id, id);
      CREATE INDEX jobs_open ON jobs (taken_in_at) WHERE state <> 'handed_over';

      CREATE TABLE findings (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        job_id bigint NOT NULL REFERENCES jobs, position text NOT NULL,
        observed jsonb NOT NULL,
        mark text NOT NULL CONSTRAINT findings_mark CHECK (mark IN ('leave', 'clean', 'wash', 'replace', 'refer')),
        own_mark boolean NOT NULL DEFAULT false,
        reason text NOT NULL, clause text NOT NULL,
        confidence text NOT NULL CONSTRAINT findings_confidence CHECK (confidence IN ('high', 'fair', 'low')),
        version integer NOT NULL DEFAULT 1,
        found_by bigint NOT NULL REFERENCES people, found_at timestamptz NOT NULL,
        CONSTRAINT findings_one_per_position UNIQUE (job_id, position));

      CREATE TABLE stops (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        job_id bigint NOT NULL REFERENCES jobs, position text NOT NULL, reason text NOT NULL,
        raised_by bigint NOT NULL REFERENCES people, raised_at timestamptz NOT NULL,
        note text, cleared_by bigint REFERENCES people, cleared_at timestamptz,
        CONSTRAINT stops_cleared_by_name CHECK (num_nonnulls(note, cleared_by, cleared_at) IN (0, 3)));
      CREATE UNIQUE INDEX stops_one_open ON stops (job_id, position) WHERE cleared_at IS NULL;

      CREATE TABLE work_items (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        job_id bigint NOT NULL REFERENCES jobs, position text NOT NULL,
        action text NOT NULL CONSTRAINT work_items_action CHECK (action IN ('clean', 'wash', 'replace', 'refer')),
        place integer NOT NULL, minutes integer NOT NULL CONSTRAINT work_items_minutes CHECK (minutes > 0),
        reason text NOT NULL,
        part_id bigint REFERENCES parts, part_reason text,
        state text NOT NULL DEFAULT 'to_do' CONSTRAINT work_items_state CHECK (state IN ('to_do', 'done', 'left')),
        done_by bigint REFERENCES people, done_at timestamptz,
        CONSTRAINT work_items_one_per_position UNIQUE (job_id, position),
        CONSTRAINT work_items_done_by_name CHECK ((state = 'to_do') = (done_by IS NULL)));
      ALTER TABLE stock_moves ADD CONSTRAINT stock_moves_job FOREIGN KEY (job_id) REFERENCES jobs;

      CREATE TABLE rack_places (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        label text NOT NULL CONSTRAINT rack_places_label UNIQUE);
      CREATE TABLE rack_stays (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        rack_place_id bigint NOT NULL REFERENCES rack_places,
        work_item_id bigint NOT NULL REFERENCES work_items,
        washed_at timestamptz NOT NULL, washed_by bigint NOT NULL REFERENCES people,
        dry_at timestamptz NOT NULL, ready_at timestamptz NOT NULL, reasons jsonb NOT NULL,
        off_at timestamptz, off_by bigint REFERENCES people, early_reason text,
        CONSTRAINT rack_stays_dry_after_wash CHECK (dry_at > washed_at AND ready_at >= dry_at),
        CONSTRAINT rack_stays_off_by_name CHECK ((off_at IS NULL) = (off_by IS NULL)),
        CONSTRAINT rack_stays_early_has_reason CHECK (off_at IS NULL OR off_at >= dry_at OR early_reason IS NOT NULL));
      CREATE UNIQUE INDEX rack_stays_one_part_per_place ON rack_stays (rack_place_id) WHERE off_at IS NULL;
      CREATE UNIQUE INDEX rack_stays_one_place_per_part ON rack_stays (work_item_id) WHERE off_at IS NULL;
      CREATE INDEX rack_stays_work_item ON rack_stays (work_item_id);

      CREATE TABLE fittings (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        machine_id bigint NOT NULL REFERENCES machines, position text NOT NULL,
        part_id bigint REFERENCES parts, fitted_on date, removed_on date,
        wash_count integer NOT NULL DEFAULT 0 CONSTRAINT fittings_washes CHECK (wash_count >= 0),
        job_id bigint REFERENCES jobs, created_by bigint NOT NULL REFERENCES people,
        CONSTRAINT fittings_dates CHECK (removed_on >= fitted_on));
      CREATE UNIQUE INDEX fittings_one_in_a_position ON fittings (machine_id, position) WHERE removed_on IS NULL;

      CREATE TABLE use_readings (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        machine_id bigint NOT NULL REFERENCES machines, job_id bigint REFERENCES jobs, position text,
        kind text NOT NULL CONSTRAINT use_readings_kind CHECK (kind IN ('meter', 'strip', 'count')),
        hours numeric NOT NULL CONSTRAINT use_readings_hours CHECK (hours >= 0),
        weeks numeric NOT NULL CONSTRAINT use_readings_weeks CHECK (weeks > 0),
        read_on date NOT NULL, read_by bigint NOT NULL REFERENCES people,
        CONSTRAINT use_readings_once UNIQUE (job_id, position));
      CREATE INDEX use_readings_machine ON use_readings (machine_id);
    SQL
  end
end
