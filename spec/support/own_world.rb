# frozen_string_literal: true

# What is done and found in a world that is gone afterwards: rows, what was read of them, who is signed in.
module OwnWorld
  def in_a_world_of_its_own
    Records::Base.transaction(requires_new: true) do
      yield
      raise ActiveRecord::Rollback
    end
    [App::Reading::PieceSnapshots, App::Reading::SeasonSnapshots].each(&:clear)
    clear_cookies
    piece.reload
  end
end
