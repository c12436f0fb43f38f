# frozen_string_literal: true

# Long work is asked for in a table of its own and done by turns; the queue only says that something waits.
class TakeTurns < ActiveRecord::Migration[7.2]
  LONG = { "plans" => "App::Jobs::WorkOutPlans", "improve" => "App::Jobs::ImprovePlan",
           "move" => "App::Jobs::MoveStudio" }.freeze

  def up
    create_table :asks do |t|
      t.references :studio, foreign_key: { on_delete: :cascade }
      t.references :account, foreign_key: { on_delete: :cascade }
      t.string :whose, null: false
      t.string :work, null: false
      t.jsonb :args, null: false, default: []
      t.string :same, null: false
      t.bigint :job_id
      t.datetime :begun_at
      t.datetime :ended_at
      t.datetime :created_at, null: false, default: -> { "now()" }
    end
    add_index :asks, :whose
    add_index :asks, :job_id
    LONG.each { |work, name| take_over(work, name) }
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  # What waits in the queue the old way waits for its turn now.
  def take_over(work, name)
    whose = work == "move" ? "'m' || (args->>0)" : "'s' || (args->>0)"
    execute <<~SQL
      INSERT INTO asks (whose, work, args, same, studio_id)
      SELECT #{whose}, '#{work}', args, '#{work} ' || id,
             #{work == 'move' ? 'NULL::bigint' : '(SELECT id FROM studios WHERE id = (args->>0)::bigint)'}
      FROM que_jobs WHERE job_class = '#{name}' AND finished_at IS NULL AND expired_at IS NULL
    SQL
    execute "UPDATE que_jobs SET job_class = 'App::Jobs::Next', args = '[]' WHERE job_class = '#{name}'"
  end
end
