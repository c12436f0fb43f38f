# frozen_string_literal: true

require "sinatra/base"
require "rack/protection"
require "rack/session"
require "rack/timeout/base"
require "erubi"
require "pundit"

module App
  module Web
    # The web application: settings, error answers, and the list of features.
    class Application < Sinatra::Base
      register Access

      set :environment, Settings.environment.to_sym
      set :root, Settings::ROOT
      set :views, File.join(Settings::ROOT, "app")
      set :erb, escape_html: true, trim: "-"
      set :static, false
      set :reload_templates, ENV.key?("RELOAD")
      set :sessions, false
      set :protection, false
      set :logging, false
      set :dump_errors, false
      set :show_exceptions, false
      set :raise_errors, false
      set :host_authorization, permitted_hosts: Settings.permitted_hosts
      set :strict_paths, false
      set :absolute_redirects, false

      helpers Helpers::Identity, Helpers::Html, Helpers::Flow, Helpers::Gate, Helpers::Sending,
              Helpers::Programs

      # "steps/show" is app/steps/views/show.erb; a layout's bare name stands in this room.
      helpers do
        def find_template(views, name, _engine)
          file, room = name.to_s.split("/").reverse
          yield File.join(views, room || "web", "views", "#{file}.erb")
        end
      end

      register Health::Routes
      register Doors::Routes
      register Doors::SheetRoutes
      register Doors::MailRoutes
      register Studio::Routes
      register Studio::TeamRoutes
      register Help::Routes
      register Home::Routes
      register People::Routes
      register People::RosterRoutes
      register People::CalendarRoutes
      register Rehearsals::Routes
      register Season::Routes
      register Piece::Routes
      register Piece::MidiRoutes
      register Steps::PasteRoutes
      register Steps::Routes # before Structure, whose links/:id/:step would take its paths
      register Joins::Routes
      register Joins::QuestionRoutes
      register Spacing::Routes
      register Piece::StructureRoutes
      register Piece::SectionRoutes
      register Piece::SharingRoutes
      register Steps::WordRoutes
      register Piece::GroupRoutes
      register Learning::Routes
      register Learning::PanelRoutes
      register Planning::Routes
      register Calls::Routes
      register Calls::CalendarRoutes
      register Files::Routes
      register Files::ArchiveRoutes
      register Programs::Routes
      register Runs::Routes
      register Runs::NoteRoutes
      register Runs::ClipRoutes
      register Room::Routes
      register MyPart::Routes

      not_found { answer_page 404 }
      error(Helpers::Flow::NotYours) { answer_page 403 }
      error(ActiveRecord::StaleObjectError) { answer_page 409 }
      error do
        trouble = env["sinatra.error"]
        next back_in_a_moment if Records::DatabaseAway.behind?(trouble)

        SemanticLogger["Web"].error("unhandled", trouble)
        answer_page 500
      end

      def self.rack = Stack.build(self)
    end
  end
end
