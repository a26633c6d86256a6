// Made from ../openapi.json by `npm run api`: do not change it by hand.

export interface paths {
    "/api/account/calendar": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Whether the person’s dates can be read at a secret address, and since when.
         * @description For whoever is signed in.
         */
        get: operations["get-account-calendar"];
        /**
         * Makes a secret address at which a calendar program reads the person’s dates. The one before is taken back.
         * @description For whoever is signed in.
         */
        put: operations["put-account-calendar"];
        post?: never;
        /**
         * Takes the secret address back.
         * @description For whoever is signed in.
         */
        delete: operations["delete-account-calendar"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/account/events": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What happened to the person’s account, the newest first.
         * @description For whoever is signed in.
         */
        get: operations["get-account-events"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/account/mail/confirmed": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Says that the address is the teacher’s, with what was sent there.
         * @description For a teacher.
         */
        put: operations["put-account-mail-confirmed"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/account/mail/now": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Sends Today now, whether there is news or not. `id` is made by the client: a repeated request sends one.
         * @description For a teacher.
         */
        post: operations["post-account-mail-now"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/account/mail": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Whether Today is sent by e-mail, where and when.
         * @description For a teacher.
         */
        get: operations["get-account-mail"];
        /**
         * Asks for Today by e-mail. A new address is sent a link first, and nothing else until it was opened.
         * @description For a teacher.
         */
        put: operations["put-account-mail"];
        post?: never;
        /**
         * Ends Today by e-mail; its address is forgotten.
         * @description For a teacher.
         */
        delete: operations["delete-account-mail"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/account/sessions/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Signs out one of the person’s browsers.
         * @description For whoever is signed in.
         */
        delete: operations["delete-account-sessions-id"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/account/sessions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Where the person is signed in.
         * @description For whoever is signed in.
         */
        get: operations["get-account-sessions"];
        put?: never;
        post?: never;
        /**
         * Signs the person out everywhere but here.
         * @description For whoever is signed in.
         */
        delete: operations["delete-account-sessions"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/account/tokens/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Takes an access token back: it does not hold any more.
         * @description For a teacher.
         */
        delete: operations["delete-account-tokens-id"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/account/tokens": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The teacher’s access tokens, without what they are.
         * @description For a teacher.
         */
        get: operations["get-account-tokens"];
        put?: never;
        /**
         * Makes an access token and tells it, this once. Repeated before it is used, it makes it anew.
         * @description For a teacher.
         */
        post: operations["post-account-tokens"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/bin": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Empties the bin: its questions are deleted for good.
         * @description For a teacher.
         */
        delete: operations["delete-bin"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/board/records/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A record of a class with its moves, to be played again.
         * @description For a teacher.
         */
        get: operations["get-board-records-id"];
        put?: never;
        post?: never;
        /**
         * Deletes a record of a class.
         * @description For a teacher.
         */
        delete: operations["delete-board-records-id"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/board/records": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The teacher’s records of classes at the board, latest first.
         * @description For a teacher.
         */
        get: operations["get-board-records"];
        put?: never;
        /**
         * Keeps what a class did at the board.
         * @description For a teacher.
         */
        post: operations["post-board-records"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/board": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A question, a set, a release or a unit with its questions whole, as it is opened on the board.
         * @description For a teacher.
         */
        get: operations["get-board"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/calendar/{secret}.ics": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The dates of whoever made the secret address, as iCalendar (RFC 5545).
         * @description For anyone, signed in or not.
         */
        get: operations["get-calendar-secret-ics"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/audit": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Who changed marks in a course, or what they rest on, the newest first.
         * @description For a teacher.
         */
        get: operations["get-courses-id-audit"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/categories": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Saves the weight categories of a course, all of them at once.
         * @description For a teacher.
         */
        put: operations["put-courses-id-categories"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/gradebook/means": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The mean marks of those whom a gradebook shows.
         * @description For a teacher.
         */
        get: operations["get-courses-id-gradebook-means"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/gradebook": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A page of the gradebook: learners by releases that count.
         * @description For a teacher.
         */
        get: operations["get-courses-id-gradebook"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/groups/{group}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Puts a learner into a group, or takes them out of it.
         * @description For a teacher.
         */
        put: operations["put-courses-id-groups-group"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/groups": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Makes a group, or gives it another name.
         * @description For a teacher.
         */
        put: operations["put-courses-id-groups"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/learners/{learner}/report": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A learner’s results in a course.
         * @description For a teacher.
         */
        get: operations["get-courses-id-learners-learner-report"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/learners/{learner}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What a course holds of a learner, as a file.
         * @description For a teacher.
         */
        get: operations["get-courses-id-learners-learner"];
        put?: never;
        post?: never;
        /**
         * Erases all that a course holds of a learner.
         * @description For a teacher.
         */
        delete: operations["delete-courses-id-learners-learner"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/learners": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A page of the roster.
         * @description For a teacher.
         */
        get: operations["get-courses-id-learners"];
        put?: never;
        /**
         * Makes a learner’s account and puts them on the roster.
         * @description For a teacher.
         */
        post: operations["post-courses-id-learners"];
        /**
         * Removes learners from the course. Their answers and marks stay.
         * @description For a teacher.
         */
        delete: operations["delete-courses-id-learners"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/left": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Former learners: not enrolled any more, and the course still has data of them.
         * @description For a teacher.
         */
        get: operations["get-courses-id-left"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/lti-roster": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Says what taking the roster of the course’s platform would change (`take` false), or takes it.
         * @description For a teacher.
         */
        post: operations["post-courses-id-lti-roster"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/mastery/groups": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Makes a group of those who need an outcome: less than half of its marks, from two answers or more. `release`: of it alone.
         * @description For a teacher.
         */
        post: operations["post-courses-id-mastery-groups"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/mastery": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Marks by outcome of a course, over the attempts that count.
         * @description For a teacher.
         */
        get: operations["get-courses-id-mastery"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/names": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The names of a course’s learners, each with a group, for calling up.
         * @description For a teacher.
         */
        get: operations["get-courses-id-names"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/oneroster/notes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What of a course does not go out by OneRoster, or under an id of ours.
         * @description For a teacher.
         */
        get: operations["get-courses-id-oneroster-notes"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/oneroster": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The marks of a course as a package of OneRoster 1.2.
         * @description For a teacher.
         */
        get: operations["get-courses-id-oneroster"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/outside": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What of a course goes to other systems.
         * @description For a teacher.
         */
        get: operations["get-courses-id-outside"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/parts": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The units, weight categories and groups of a course.
         * @description For a teacher.
         */
        get: operations["get-courses-id-parts"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/pictures": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Lets learners of a course sign in with a code, their name and pictures, or not any more.
         * @description For a teacher.
         */
        put: operations["put-courses-id-pictures"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/removals/{removal}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Undoes a removal: what was removed is there again, with everything that referred to it.
         * @description For a teacher.
         */
        delete: operations["delete-courses-id-removals-removal"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/removals": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What removing a unit, a weight category or a group would do, and to which marks.
         * @description For a teacher.
         */
        get: operations["get-courses-id-removals"];
        put?: never;
        /**
         * Removes a unit, a weight category or a group. What named it goes on without.
         * @description For a teacher.
         */
        post: operations["post-courses-id-removals"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/reports": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The reports of a course’s learners, or of a group’s, some at a time.
         * @description For a teacher.
         */
        get: operations["get-courses-id-reports"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/roster": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Says what taking a pasted list would change (`take` false), or takes it.
         * @description For a teacher.
         */
        post: operations["post-courses-id-roster"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/teachers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Who teaches a course.
         * @description For a teacher.
         */
        get: operations["get-courses-id-teachers"];
        /**
         * Makes a teacher a co-teacher of a course, or no longer.
         * @description For a teacher.
         */
        put: operations["put-courses-id-teachers"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/units": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Saves the units of a course, all of them at once, in their order.
         * @description For a teacher.
         */
        put: operations["put-courses-id-units"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A course and its releases.
         * @description For a teacher.
         */
        get: operations["get-courses-id"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        /**
         * Renames a course, archives it or brings it back, or sets its join code.
         * @description For a teacher.
         */
        patch: operations["patch-courses-id"];
        trace?: never;
    };
    "/api/courses": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The courses the teacher owns or teaches.
         * @description For a teacher.
         */
        get: operations["get-courses"];
        put?: never;
        /**
         * Makes a course.
         * @description For a teacher.
         */
        post: operations["post-courses"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/formulas": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Draws a formula typed as TeX: as MathML, and as it is spoken.
         * @description For a teacher.
         */
        post: operations["post-formulas"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/health": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Whether the application can store what it is sent.
         * @description For anyone, signed in or not.
         */
        get: operations["get-health"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/installation": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The settings of the installation.
         * @description For a teacher.
         */
        get: operations["get-installation"];
        /**
         * Changes the settings of the installation. Administrators only.
         * @description For a teacher.
         */
        put: operations["put-installation"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/invitations/{course}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * The learner says yes, and is in the course from then on.
         * @description For a learner.
         */
        put: operations["put-invitations-course"];
        post?: never;
        /**
         * The learner says no to an invitation.
         * @description For a learner.
         */
        delete: operations["delete-invitations-course"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/invitations": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The courses the learner is asked into.
         * @description For a learner.
         */
        get: operations["get-invitations"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * How far a job of the teacher’s has come.
         * @description For a teacher.
         */
        get: operations["get-jobs-id"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/joining": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Somebody without an account makes one with a course’s code.
         * @description For anyone, signed in or not.
         */
        put: operations["put-joining"];
        /**
         * A learner joins a course by its code.
         * @description For a learner.
         */
        post: operations["post-joining"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/learners/{id}/password": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Sets a new password for a learner whose account the teacher made.
         * @description For a teacher.
         */
        put: operations["put-learners-id-password"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/learners/{id}/pictures": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Draws new pictures for a learner whose account the teacher made, and tells them this once.
         * @description For a teacher.
         */
        put: operations["put-learners-id-pictures"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lists/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Saves a stock list.
         * @description For a teacher.
         */
        put: operations["put-lists-id"];
        post?: never;
        /**
         * Removes a stock list.
         * @description For a teacher.
         */
        delete: operations["delete-lists-id"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lists": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The teacher’s stock lists.
         * @description For a teacher.
         */
        get: operations["get-lists"];
        put?: never;
        /**
         * Makes a stock list.
         * @description For a teacher.
         */
        post: operations["post-lists"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lti/same-person": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * A teacher whose first launch made an account says that they have one here already, by its password; `password` null: that they have none.
         * @description For whoever is signed in.
         */
        post: operations["post-lti-same-person"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/me": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * All data of the learner who asks, as a file.
         * @description For a learner.
         */
        get: operations["get-me"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/media/usage": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * How much the teacher’s media take, and what of it nothing uses.
         * @description For a teacher.
         */
        get: operations["get-media-usage"];
        put?: never;
        post?: never;
        /**
         * Deletes the teacher’s media that nothing uses.
         * @description For a teacher.
         */
        delete: operations["delete-media-usage"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/media": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The teacher’s media.
         * @description For a teacher.
         */
        get: operations["get-media"];
        put?: never;
        /**
         * Stores a picture, a sound, a film or a font, after checking that it is what it claims to be.
         * @description For a teacher.
         */
        post: operations["post-media"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/oneroster": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Says line by line what a package of OneRoster 1.2 would change (`take` false), or takes it; for an administrator. `source`: the system, where its manifest does not say. With faulty lines nothing is taken, unless `skipFaulty`.
         * @description For a teacher.
         */
        post: operations["post-oneroster"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/outcomes/questions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Adds outcomes to many questions, or takes them off.
         * @description For a teacher.
         */
        post: operations["post-outcomes-questions"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/outcomes/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Removes a framework; outcomes that questions have stay, as withdrawn.
         * @description For a teacher.
         */
        delete: operations["delete-outcomes-id"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/outcomes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The learning outcomes of the installation, each framework as a tree.
         * @description For a teacher.
         */
        get: operations["get-outcomes"];
        put?: never;
        /**
         * Says what taking learning outcomes would change (`take` false), or takes them: a `CFPackage` of CASE 1.0 as JSON, or a list of code, words and the code of the parent. A second import changes what changed.
         * @description For a teacher.
         */
        post: operations["post-outcomes"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/packages/carried": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What becomes of questions as items of QTI 3.0: which cannot be carried, and what stays behind.
         * @description For a teacher.
         */
        get: operations["get-packages-carried"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/packages": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Questions, a shelf or a set as one zip of documents and media, or of items of QTI 3.0.
         * @description For a teacher.
         */
        get: operations["get-packages"];
        put?: never;
        /**
         * Takes a package in: one of ours, or one of QTI 3.0, 2.2 or 2.1, as its parts say. `look`: only says what is in it. `questions` and `sets`: the places of what is ticked, such as `0-5,8`. Sent again under the same id, it comes in once.
         * @description For a teacher.
         */
        post: operations["post-packages"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/ping": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Neither session nor database: what a request costs by itself.
         * @description For anyone, signed in or not.
         */
        get: operations["get-ping"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/platforms/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Removes a platform: nobody is launched by it any more, and no mark is sent to it.
         * @description For a teacher.
         */
        delete: operations["delete-platforms-id"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/platforms": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The platforms that may launch us, for an administrator.
         * @description For a teacher.
         */
        get: operations["get-platforms"];
        put?: never;
        /**
         * Adds a platform, or deployments to one that is there.
         * @description For a teacher.
         */
        post: operations["post-platforms"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/questions/dress": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Dresses many questions like one: its ground, letters and looks.
         * @description For a teacher.
         */
        post: operations["post-questions-dress"];
        /**
         * Takes a dress back, in the questions that nobody has changed since.
         * @description For a teacher.
         */
        delete: operations["delete-questions-dress"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/questions/words": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Replaces words in many questions, or says what would be done.
         * @description For a teacher.
         */
        post: operations["post-questions-words"];
        /**
         * Takes replaced words back, in the questions that nobody has changed since.
         * @description For a teacher.
         */
        delete: operations["delete-questions-words"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/questions/{id}/copies": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Copies a question as it is stored, or (with a document) stores what the author has on the screen as a copy.
         * @description For a teacher.
         */
        post: operations["post-questions-id-copies"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/questions/{id}/edits": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * A batch of edits to a question, made on a revision of it. A batch sent twice counts once.
         * @description For a teacher.
         */
        post: operations["post-questions-id-edits"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/questions/{id}/outcomes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The ids of the outcomes of a question.
         * @description For a teacher.
         */
        get: operations["get-questions-id-outcomes"];
        /**
         * Sets the outcomes of a question.
         * @description For a teacher.
         */
        put: operations["put-questions-id-outcomes"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/questions/{id}/uses": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Who uses a question, and where.
         * @description For a teacher.
         */
        get: operations["get-questions-id-uses"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/questions/{id}/versions/{revision}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A question as it stood at a revision.
         * @description For a teacher.
         */
        get: operations["get-questions-id-versions-revision"];
        /**
         * Names a question as it stood at a revision.
         * @description For a teacher.
         */
        put: operations["put-questions-id-versions-revision"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/questions/{id}/versions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The versions of a question.
         * @description For a teacher.
         */
        get: operations["get-questions-id-versions"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/questions/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A question with its revision.
         * @description For a teacher.
         */
        get: operations["get-questions-id"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        /**
         * Deletes a question or brings it back, or makes it a starting point.
         * @description For a teacher.
         */
        patch: operations["patch-questions-id"];
        trace?: never;
    };
    "/api/questions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A page of the Vault.
         * @description For a teacher.
         */
        get: operations["get-questions"];
        put?: never;
        /**
         * Makes a question: empty, or an example of a kind; with its first edits, if wanted.
         * @description For a teacher.
         */
        post: operations["post-questions"];
        delete?: never;
        options?: never;
        head?: never;
        /**
         * Moves, tags, deletes or brings back many questions at once.
         * @description For a teacher.
         */
        patch: operations["patch-questions"];
        trace?: never;
    };
    "/api/record-store/again": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Tries again what could not be sent; `all`: sends everything, also what came about before the store was named.
         * @description For a teacher.
         */
        post: operations["post-record-store-again"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/record-store": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The record store that statements are sent to, for an administrator.
         * @description For a teacher.
         */
        get: operations["get-record-store"];
        /**
         * Names the record store. From then on what learners do is sent to it; its secret is never shown again.
         * @description For a teacher.
         */
        put: operations["put-record-store"];
        post?: never;
        /**
         * Sends statements nowhere any more. What has arrived stays where it is.
         * @description For a teacher.
         */
        delete: operations["delete-record-store"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/allowances": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Allows one learner more time, more sittings or other dates; null takes the allowance away.
         * @description For a teacher.
         */
        put: operations["put-releases-id-allowances"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/analysis": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * How a release was answered: figures, who put what where, drops, trial and error.
         * @description For a teacher.
         */
        get: operations["get-releases-id-analysis"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/comparison": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Its questions in other releases, its groups against one another, first against last attempts.
         * @description For a teacher.
         */
        get: operations["get-releases-id-comparison"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/copies": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Publishes the questions of a release, as they count now, to other courses with the same settings, for everybody there.
         * @description For a teacher.
         */
        post: operations["post-releases-id-copies"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/editions/{number}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What applying an edition would do to marks already given.
         * @description For a teacher.
         */
        get: operations["get-releases-id-editions-number"];
        /**
         * Applies the newest edition to marks already given.
         * @description For a teacher.
         */
        put: operations["put-releases-id-editions-number"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/editions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The editions of a release, and what can be corrected in the newest.
         * @description For a teacher.
         */
        get: operations["get-releases-id-editions"];
        put?: never;
        /**
         * What a correction would change (without a number); with one, makes that edition.
         * @description For a teacher.
         */
        post: operations["post-releases-id-editions"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/groups": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Makes a group of those who were asked a question and have not had its full mark.
         * @description For a teacher.
         */
        post: operations["post-releases-id-groups"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/live/events": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Its changes as server-sent events, after the event that Last-Event-ID or `after` names.
         * @description For a teacher.
         */
        get: operations["get-releases-id-live-events"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/live": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * How a release is being answered now, learner by learner.
         * @description For a teacher.
         */
        get: operations["get-releases-id-live"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/marks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Sets a learner’s mark by hand, or back to what the attempts came to, and answers with their row.
         * @description For a teacher.
         */
        put: operations["put-releases-id-marks"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/mastery": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Marks by outcome of a release, and which learners need it.
         * @description For a teacher.
         */
        get: operations["get-releases-id-mastery"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/paper/learners": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The learners to whom a sheet may belong, with what was typed in for them.
         * @description For a teacher.
         */
        get: operations["get-releases-id-paper-learners"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/paper": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A variant of a release on paper, with its letters and numbers.
         * @description For a teacher.
         */
        get: operations["get-releases-id-paper"];
        put?: never;
        /**
         * Types in a sheet: an attempt on paper, judged as any other.
         * @description For a teacher.
         */
        post: operations["post-releases-id-paper"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/remarks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Excuses a learner from a release, or no longer, notes something for teachers, and answers with their row.
         * @description For a teacher.
         */
        put: operations["put-releases-id-remarks"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/results": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The marks of a release, learner by learner, a hundred at a time.
         * @description For a teacher.
         */
        get: operations["get-releases-id-results"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/scores": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Sends a learner’s mark to the platform again.
         * @description For a teacher.
         */
        post: operations["post-releases-id-scores"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/settings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * How a release runs, and what learners are allowed beyond that.
         * @description For a teacher.
         */
        get: operations["get-releases-id-settings"];
        /**
         * Changes how a release runs.
         * @description For a teacher.
         */
        put: operations["put-releases-id-settings"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/sittings/{sitting}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A sitting with its moves, to be played again.
         * @description For a teacher.
         */
        get: operations["get-releases-id-sittings-sitting"];
        /**
         * Opens a finished attempt again, as it was before it ended.
         * @description For a teacher.
         */
        put: operations["put-releases-id-sittings-sitting"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/sittings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A release as the learner’s page opens it: a question, what a finished sitting came to, or what there is before it is begun.
         * @description For a learner.
         */
        get: operations["get-releases-id-sittings"];
        put?: never;
        /**
         * Begins a sitting: the first, or another after a finished one. While one runs it is that one.
         * @description For a learner.
         */
        post: operations["post-releases-id-sittings"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/statements": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The statements of a release (xAPI), one a line, ordered by time. They hold what is right.
         * @description For a teacher.
         */
        get: operations["get-releases-id-statements"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/together": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Attempts at one question with their moves, some at a time, to be played again together.
         * @description For a teacher.
         */
        get: operations["get-releases-id-together"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases/{id}/withdrawn": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Withdraws a release, or brings it back. Withdrawn, no learner sees it and it does not count; the work stays.
         * @description For a teacher.
         */
        put: operations["put-releases-id-withdrawn"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/releases": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What is published for the learner, and how far they have come with it.
         * @description For a learner.
         */
        get: operations["get-releases"];
        put?: never;
        /**
         * Publishes a question as it stood at a revision, or a set, to a course: at once, or (where model answers have to be found) as a job.
         * @description For a teacher.
         */
        post: operations["post-releases"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/search": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Finds words in everything of the teacher’s: questions, sets, courses, releases and learners, best first.
         * @description For a teacher.
         */
        get: operations["get-search"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sets/{id}/copies": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Makes a copy of a set; its questions are the same.
         * @description For a teacher.
         */
        post: operations["post-sets-id-copies"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sets/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Brings a deleted set back.
         * @description For a teacher.
         */
        post: operations["post-sets-id-restore"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sets/{id}/whole": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A set with its questions whole, as it is printed and published.
         * @description For a teacher.
         */
        get: operations["get-sets-id-whole"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sets/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A set, with the titles of its questions.
         * @description For a teacher.
         */
        get: operations["get-sets-id"];
        /**
         * Saves a set.
         * @description For a teacher.
         */
        put: operations["put-sets-id"];
        post?: never;
        /**
         * Deletes a set. Its questions and releases stay, and it can be brought back.
         * @description For a teacher.
         */
        delete: operations["delete-sets-id"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sets": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The teacher’s sets, the latest change first, and those that were deleted and can be brought back.
         * @description For a teacher.
         */
        get: operations["get-sets"];
        put?: never;
        /**
         * Makes a set.
         * @description For a teacher.
         */
        post: operations["post-sets"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shelves/{id}/shares": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Shares a shelf with a colleague, or (`right` null) no longer.
         * @description For a teacher.
         */
        put: operations["put-shelves-id-shares"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shelves/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Removes a shelf. What stands on it is moved, not deleted.
         * @description For a teacher.
         */
        delete: operations["delete-shelves-id"];
        options?: never;
        head?: never;
        /**
         * Renames a shelf or puts it onto another.
         * @description For a teacher.
         */
        patch: operations["patch-shelves-id"];
        trace?: never;
    };
    "/api/shelves": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The shelves the teacher may see.
         * @description For a teacher.
         */
        get: operations["get-shelves"];
        put?: never;
        /**
         * Makes a shelf.
         * @description For a teacher.
         */
        post: operations["post-shelves"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sittings/{id}/at": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Goes to a question of a sitting.
         * @description For a learner.
         */
        post: operations["post-sittings-id-at"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sittings/{id}/finish": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Finishes a sitting.
         * @description For a learner.
         */
        post: operations["post-sittings-id-finish"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sittings/{id}/media/{name}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A medium, by the name it has in the learner’s sitting.
         * @description For a learner.
         */
        get: operations["get-sittings-id-media-name"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sittings/{id}/moves": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Stores a learner’s moves, in order and each once, and judges them where that is due.
         * @description For a learner.
         */
        post: operations["post-sittings-id-moves"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sittings/{id}/sources/{n}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What a source shows, by its number in the sitting’s edition.
         * @description For a learner.
         */
        get: operations["get-sittings-id-sources-n"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/tags": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The tags of the questions the teacher may see.
         * @description For a teacher.
         */
        get: operations["get-tags"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/today": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What asks for the teacher today.
         * @description For a teacher.
         */
        get: operations["get-today"];
        /**
         * Notes that the teacher has looked: what came until now is no news any more.
         * @description For a teacher.
         */
        put: operations["put-today"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/courses/{id}/gradebook.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The gradebook as CSV; `bom`: it begins with a byte order mark, for programs that ask for one.
         * @description For a teacher.
         */
        get: operations["get-courses-id-gradebook-csv"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/lti/continue": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Goes on with a launch in a window of its own, after a press: signs the person in.
         * @description For anyone, signed in or not.
         */
        post: operations["post-lti-continue"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/lti/deep-link": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The page on which a teacher chooses what a platform links; `launch`: the launch that asked.
         * @description For a teacher.
         */
        get: operations["get-lti-deep-link"];
        put?: never;
        /**
         * Chooses what a platform links (a question or a set is published first) and answers with what the browser posts to it.
         * @description For a teacher.
         */
        post: operations["post-lti-deep-link"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/lti/jwks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The public keys by which platforms know what we sign (RFC 7517).
         * @description For anyone, signed in or not.
         */
        get: operations["get-lti-jwks"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/lti/launch": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * A launch of LTI 1.3: signs the person in and goes on to what the link names.
         * @description For anyone, signed in or not.
         */
        post: operations["post-lti-launch"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/lti/login": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A platform begins a launch (third-party initiated login, OpenID Connect): answers by going on to its authorisation address.
         * @description For anyone, signed in or not.
         */
        get: operations["get-lti-login"];
        put?: never;
        /**
         * The same, by a form.
         * @description For anyone, signed in or not.
         */
        post: operations["post-lti-login"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/media/{hash}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A teacher’s own medium.
         * @description For a teacher.
         */
        get: operations["get-media-hash"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/releases/{id}/answers.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What was answered in each attempt, as CSV: a line for each thing placed or typed.
         * @description For a teacher.
         */
        get: operations["get-releases-id-answers-csv"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/releases/{id}/answers.jsonl": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What was answered in each attempt, as JSON lines: one for each question of an attempt.
         * @description For a teacher.
         */
        get: operations["get-releases-id-answers-jsonl"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/releases/{id}/results.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The marks of a release as CSV.
         * @description For a teacher.
         */
        get: operations["get-releases-id-results-csv"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/stand-in/film": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The stand-in for a film player that lies elsewhere.
         * @description For anyone, signed in or not.
         */
        get: operations["get-stand-in-film"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/auth/sign-in/username": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Signs in by user name. The answer is the sign-in library’s own.
         * @description For anyone, signed in or not.
         */
        post: operations["post-auth-sign-in-username"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/auth/sign-in/pictures": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * A small child signs in, where a course allows it: its code, their name, and their pictures in order. The answer is the sign-in library’s own.
         * @description For anyone, signed in or not.
         */
        post: operations["post-auth-sign-in-pictures"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/auth/sign-out": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Signs out. The answer is the sign-in library’s own.
         * @description For anyone, signed in or not.
         */
        post: operations["post-auth-sign-out"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/auth/get-session": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Who is signed in. The answer is the sign-in library’s own.
         * @description For anyone, signed in or not.
         */
        get: operations["get-auth-get-session"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/auth/change-password": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Changes one’s own password. The answer is the sign-in library’s own.
         * @description For anyone, signed in or not.
         */
        post: operations["post-auth-change-password"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/auth/two-factor/enable": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Begins a second factor for a teacher: what an authenticator needs, and recovery codes. The answer is the sign-in library’s own.
         * @description For anyone, signed in or not.
         */
        post: operations["post-auth-two-factor-enable"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/auth/two-factor/disable": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Takes a teacher’s second factor away. The answer is the sign-in library’s own.
         * @description For anyone, signed in or not.
         */
        post: operations["post-auth-two-factor-disable"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/auth/two-factor/verify-totp": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * The code of an authenticator: ends a sign-in that asks for one, or confirms a second factor. The answer is the sign-in library’s own.
         * @description For anyone, signed in or not.
         */
        post: operations["post-auth-two-factor-verify-totp"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/auth/two-factor/verify-backup-code": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * A recovery code in place of an authenticator’s; it holds once. The answer is the sign-in library’s own.
         * @description For anyone, signed in or not.
         */
        post: operations["post-auth-two-factor-verify-backup-code"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/auth/two-factor/generate-backup-codes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * New recovery codes in place of the old. The answer is the sign-in library’s own.
         * @description For anyone, signed in or not.
         */
        post: operations["post-auth-two-factor-generate-backup-codes"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        /**
         * @description The access to a question or a shelf: one's own, or shared with a right.
         * @enum {string}
         */
        Access: "edit" | "own" | "see" | "use";
        AllowanceRow: {
            learnerId: string;
            name: string;
            moreMinutes: number;
            moreSittings: number;
            dueAt: string | null;
            closesAt: string | null;
        };
        /** @description How much was put into a zone that asks for a number of copies, or a sum. */
        AmountAnswers: {
            zone: number;
            /** @description Of all values together; null: the zone asks for no sum. */
            sums: [
                number,
                number
            ][] | null;
            target: null | number;
            tolerance: number;
            /** @description Of each item that somebody put there. */
            items: {
                item: number;
                /** @description How many learners had each number of something. */
                amounts: [
                    number,
                    number
                ][];
            }[];
        };
        AnalysisView: {
            release: {
                id: string;
                title: string;
                course: string;
                courseId: string;
                edition: number;
            };
            /** @description False: something has come in since the figures were worked out, and a job is at it. */
            isCurrent: boolean;
            /** @description Null: they have not been worked out yet. */
            figures: components["schemas"]["Figures"] | null;
            /** @description Null: no correction has been applied since figures were first worked out. */
            before: components["schemas"]["FiguresBefore"] | null;
        };
        /** @description What a question was answered with, in the way of what it asks for. A question may ask for several things. */
        Answers: {
            pairs: components["schemas"]["Pair"][];
            orders: components["schemas"]["OrderAnswers"][];
            typed: components["schemas"]["TypedAnswers"][];
            amounts: components["schemas"]["AmountAnswers"][];
            marks: components["schemas"]["MarkAnswers"] | null;
            options: components["schemas"]["OptionAnswers"] | null;
            joints: components["schemas"]["JointAnswers"][];
        };
        /** @enum {string} */
        Appearance: "fieldNotes" | "highContrast" | "largePrint" | "paper" | "slate";
        Applied: {
            /** @description The number of changed marks, and of those spared because they would have fallen. */
            changes: number;
            spared: number;
        };
        /** @description What a question of a package will become, before anything is taken. */
        ArrivingQuestion: {
            /** @description What it is called in the package. */
            name: string;
            title: string;
            /** @description Null: it cannot be taken. */
            kind: ("build" | "count" | "free" | "gaps" | "label" | "mark" | "order" | "pick" | "sort") | null;
            /** @description Why it cannot be taken; null: it can. */
            refused: null | string;
            /** @description What of it comes in otherwise than it was. */
            approximations: string[];
            /** @description For its picture; null: it is none, or there are too many to draw them all. */
            question: components["schemas"]["question.schema"] | null;
        };
        AuditRow: {
            n: number;
            /** Format: date-time */
            at: string;
            by: string;
            what: components["schemas"]["AuditWhat"];
            release: null | string;
            /** @description Null: about nobody in particular, or about a learner whose account is deleted. */
            learner: null | string;
            detail: Record<string, never>;
        };
        /** @enum {string} */
        AuditWhat: "allowed" | "categories" | "editionApplied" | "editionMade" | "erased" | "excused" | "markSet" | "markSetBack" | "paperEntered" | "removalUndone" | "removed" | "reopened" | "settings";
        /** @description What a learner sees before an attempt starts: when the release opens, or how long they will have. */
        Before: {
            id: string;
            questions: number;
            minutes: null | number;
            closesAt: string | null;
            opensAt: string | null;
            release: string;
            course: string;
            /** @description The course's language; null: none is said. */
            courseLang: null | string;
            appearance: components["schemas"]["Appearance"];
        };
        /** @description Where things stand, in a learner's terms: enough to draw the page again after a reload. */
        BoardView: {
            /** @description By zone, in the zone's order. `x`, `y`: where it was let go, for zones that keep it there. */
            zones: {
                zone: string;
                held: (components["schemas"]["NamedCopy"] & {
                    x?: number;
                    y?: number;
                    settled: number;
                })[];
                text?: string;
            }[];
            /** @description In no zone, or in one that is hidden. */
            loose: (components["schemas"]["NamedCopy"] & {
                x: number;
                y: number;
            })[];
        };
        /** @description What becomes of a question as an item of QTI. */
        CarriedQuestion: {
            id: string;
            title: string;
            /** @description False: it cannot go out with the same marks. */
            carried: boolean;
            /** @description Why not, or what of it stays behind: the place in its document, and a sentence. */
            said: {
                path: string;
                message: string;
            }[];
        };
        CategoryRow: {
            weight: number;
            id: string;
            title: string;
        };
        /**
         * @description How a learner stands in a release, as a gradebook's cell shows it.
         * @enum {string}
         */
        CellState: "done" | "excused" | "missing" | "none" | "notFor" | "running";
        /** @description One of many questions that are changed in one go. */
        ChangedQuestion: {
            id: string;
            title: string;
            /** @description The revision it came to; null: it was not changed. */
            revision: null | number;
            refused: null | string;
        };
        /** @description What is opened on the board, with its key: for its teacher alone. */
        ClassBoard: {
            title: string;
            /** @description The course it was published in; null: it comes from the Vault. */
            course: {
                id: string;
                title: string;
            } | null;
            questions: components["schemas"]["question.schema"][];
            /** @description What stands beside the questions, by their places. */
            sources: (components["schemas"]["SourceContent"] & {
                questions: number[];
            })[];
        };
        /** @description A record of a class, to be played back. `up`: the names, as far as they are known still. */
        ClassRecord: {
            questions: components["schemas"]["question.schema"][];
            rounds: {
                /** @description The index of its question in the record. */
                question: number;
                up: string[];
                /** @description Where each item was at the start, by its index: scene units. */
                homes: {
                    x: number;
                    y: number;
                }[];
                /** @description `at`: milliseconds since 1970. */
                moves: {
                    move: components["schemas"]["Move"];
                    at: number;
                }[];
            }[];
            title: string;
            /** Format: date-time */
            at: string;
            id: string;
        };
        ClassRecordRow: {
            id: string;
            title: string;
            /** Format: date-time */
            at: string;
            /** @description How often somebody had a go. */
            rounds: number;
        };
        /** @description The reports of a course, a page of them by name. */
        ClassReport: {
            reports: components["schemas"]["LearnerReport"][];
            total: number;
            from: number;
        };
        /** @description First and last attempts of the same learners. */
        ComparedAttempts: {
            /** @description Who had more than one. */
            learners: number;
            first: number;
            last: number;
            /** @description How much the last is above the first on average. */
            difference: components["schemas"]["Figure"] | null;
        };
        /** @description A group's first attempts. */
        ComparedGroup: {
            id: string;
            title: string;
            /** @description Of the group, who answered. Of all others of the release, who did. */
            learners: number;
            others: number;
            mean: null | number;
            /** @description How much its mean share of the points is above that of all others. */
            difference: components["schemas"]["Figure"] | null;
            /** @description By question: the mean share of its marks, and of how many; null: none was asked it. */
            questions: ({
                learners: number;
                facility: number;
            } | null)[];
        };
        /** @description A question wherever the teacher has released it: first the release that is looked at, then the newest on. */
        ComparedQuestion: {
            title: string;
            struck: boolean;
            releases: components["schemas"]["ComparedRelease"][];
        };
        /** @description A question in one release. */
        ComparedRelease: {
            id: string;
            title: string;
            course: string;
            /** Format: date-time */
            createdAt: string;
            edition: number;
            /** @description False: its figures are being worked out anew. */
            isCurrent: boolean;
            /** @description True: word for word as in the release that is looked at, key and all. */
            same: boolean;
            asked: number;
            full: number;
            facility: components["schemas"]["Figure"] | null;
            discrimination: components["schemas"]["Figure"] | null;
            /** @description How much its facility is above that in the release that is looked at, of which it is null. */
            difference: components["schemas"]["Figure"] | null;
        };
        ComparisonView: {
            release: {
                id: string;
                title: string;
                course: string;
                courseId: string;
                edition: number;
            };
            /** @description False: the figures of this release, or of another shown, are being worked out. */
            isCurrent: boolean;
            /** @description Null: the figures of this release have not been worked out yet. */
            questions: components["schemas"]["ComparedQuestion"][] | null;
            /** @description How many more releases have one of the questions than are shown. */
            more: number;
            groups: components["schemas"]["ComparedGroup"][];
            /** @description Null: nobody has had more than one. By question only those who were asked it in both. */
            attempts: (components["schemas"]["ComparedAttempts"] & {
                questions: (components["schemas"]["ComparedAttempts"] | null)[];
            }) | null;
        };
        /**
         * @description One copy of an item, as a number: index of the item × 10,000 + copy. Endless copies run from 0 to 9,999. One index
         *     after the last item stands the reserved item {@link UNREAD}: a typed text that is none of the texts accepted.
         */
        Copy: {
            copy: {
                description: string;
                "__@toStringTag@7372": string;
            };
        } & number;
        /** @description What corrections did to a mark, in points, and the reasons given. */
        Corrected: {
            before: {
                points: number;
                outOf: number;
            };
            after: {
                points: number;
                outOf: number;
            };
            reasons: string[];
        };
        CorrectionPreview: {
            number: number;
            questions: {
                title: string;
                struck: boolean;
                before: components["schemas"]["question.schema"];
                after: components["schemas"]["question.schema"];
                step: components["schemas"]["Edit"][];
            }[];
            /** @description Every attempt whose mark would change. */
            changes: components["schemas"]["NamedChange"][];
            /** @description The number of attempts. */
            sittings: number;
            /** @description Marks set by hand, with their maximum: a correction does not change them. */
            byHand: {
                learnerId: string;
                name: string;
                points: number;
                outOf: number;
            }[];
        };
        CorrectionView: {
            release: {
                id: string;
                title: string;
                course: string;
                courseId: string;
            };
            /** @description The newest edition, which corrections start from. */
            number: number;
            questions: {
                title: string;
                struck: boolean;
                points: number;
                document: components["schemas"]["question.schema"];
                /** @description The Vault has another version, which fits (or does not fit) the moves. */
                vault: {
                    document: components["schemas"]["question.schema"];
                    step: components["schemas"]["Edit"][];
                    fits: boolean;
                } | null;
            }[];
            editions: {
                number: number;
                /** Format: date-time */
                createdAt: string;
                by: string;
                reason: string;
                applied: {
                    /** Format: date-time */
                    at: string;
                    by: string;
                    changes: components["schemas"]["NamedChange"][];
                    spared: number;
                } | null;
            }[];
        };
        /** @enum {string} */
        Counts: "average" | "best" | "first" | "last";
        CourseParts: {
            units: components["schemas"]["UnitRow"][];
            categories: components["schemas"]["CategoryRow"][];
            groups: components["schemas"]["GroupRow"][];
            /** @description The revision that a write of the units, or of the categories, has to name. */
            unitsRevision: number;
            categoriesRevision: number;
            /** @description The zone the course's times are meant in; null: none is said. */
            zone: null | string;
            /** @description The settings that a course's new releases begin with. */
            releaseDefaults: {
                minutes?: null | number;
                sittings?: null | number;
                /** @enum {string} */
                counts?: "average" | "best" | "first" | "last";
                practice?: boolean;
                /** @enum {string} */
                feedbackLevel?: "feedback" | "modelAnswer" | "nothing" | "verdicts";
                /**
                 * @description `atOnce` is fixed when it is published.
                 * @enum {string}
                 */
                feedbackTime?: "atOnce" | "closed" | "finished";
            };
        };
        /**
         * @description The right on a course: one's own, or as a co-teacher.
         * @enum {string}
         */
        CourseRight: "own" | "teach";
        CourseRow: {
            id: string;
            title: string;
            learners: number;
            owner: string;
            right: components["schemas"]["CourseRight"];
            archived: boolean;
        };
        CourseSaved: {
            title: string;
            join: {
                code: string;
                until: string | null;
            } | null;
            zone: null | string;
            lang: null | string;
            appearance: components["schemas"]["Appearance"];
            /** @description The settings that a course's new releases begin with. */
            releaseDefaults: {
                minutes?: null | number;
                sittings?: null | number;
                /** @enum {string} */
                counts?: "average" | "best" | "first" | "last";
                practice?: boolean;
                /** @enum {string} */
                feedbackLevel?: "feedback" | "modelAnswer" | "nothing" | "verdicts";
                /**
                 * @description `atOnce` is fixed when it is published.
                 * @enum {string}
                 */
                feedbackTime?: "atOnce" | "closed" | "finished";
            };
            letters: components["schemas"]["LetterGrade"][];
            revision: number;
        };
        CourseView: {
            join: {
                code: string;
                until: string | null;
            } | null;
            /** @description With this code its small children sign in by pictures; null: they may not. */
            pictureCode: null | string;
            units: {
                id: string;
                title: string;
            }[];
            releases: components["schemas"]["ReleaseRow"][];
            /** @description The zone its times are meant in; null: none is said. */
            zone: null | string;
            /** @description The language that its learners' pages speak; null: each question's, else the reader's. */
            lang: null | string;
            appearance: components["schemas"]["Appearance"];
            /** @description The settings that a course's new releases begin with. */
            releaseDefaults: {
                minutes?: null | number;
                sittings?: null | number;
                /** @enum {string} */
                counts?: "average" | "best" | "first" | "last";
                practice?: boolean;
                /** @enum {string} */
                feedbackLevel?: "feedback" | "modelAnswer" | "nothing" | "verdicts";
                /**
                 * @description `atOnce` is fixed when it is published.
                 * @enum {string}
                 */
                feedbackTime?: "atOnce" | "closed" | "finished";
            };
            /** @description Its letter grades; none: marks are numbers alone. */
            letters: components["schemas"]["LetterGrade"][];
            /** @description The platform that launches it; null: none. `roster`: its roster can be taken. */
            platform: {
                name: string;
                roster: boolean;
            } | null;
            /** @description The revision that a write of its name, zone and join code has to name. */
            revision: number;
            id: string;
            title: string;
            learners: number;
            owner: string;
            right: components["schemas"]["CourseRight"];
            archived: boolean;
        };
        /** @description What was chosen, signed, and the address the browser posts it to as `JWT`. */
        DeepLinked: {
            action: string;
            jwt: string;
        };
        /** @description A question of the teacher's with errors that was opened last. */
        DraftRow: {
            id: string;
            title: string;
            errors: number;
            /** Format: date-time */
            changedAt: string;
        };
        /** @description So many of a section's questions are drawn for each sitting; each of them counts as many points. */
        Draw: {
            count: number;
            points: number;
        };
        /**
         * @description An item let go on the scene: its unrotated top left, and the pointer (both parts, or neither: then the item's
         *     centre).
         */
        Drop: {
            item: string;
            copy?: number;
            x: number;
            y: number;
            px?: number;
            py?: number;
            at?: number;
        };
        /** @description What is due or closes within seven days. */
        DueRow: {
            /** Format: date-time */
            at: string;
            /** @description It closes then; else it is due. */
            closes: boolean;
            /** @description How many it is assigned to, have finished it, and have begun it. */
            learners: number;
            finished: number;
            begun: number;
            releaseId: string;
            title: string;
            course: string;
        };
        /** @description One change of a question; `to` and `from` are what stands there after and before. */
        Edit: {
            /** @constant */
            type: "setQuestion";
            field: string;
            to?: unknown;
            from?: unknown;
        } | {
            /** @constant */
            type: "set";
            /** @enum {unknown} */
            in: "items" | "zones" | "fixtures";
            id: string;
            field: string;
            to?: unknown;
            from?: unknown;
        } | {
            /** @constant */
            type: "add";
            /** @enum {unknown} */
            in: "items" | "zones" | "fixtures";
            index: number;
            entry: {
                id: string;
            };
        } | {
            /** @constant */
            type: "remove";
            /** @enum {unknown} */
            in: "items" | "zones" | "fixtures";
            index: number;
            entry: {
                id: string;
            };
        } | {
            /** @constant */
            type: "move";
            /** @enum {unknown} */
            in: "items" | "zones" | "fixtures";
            from: number;
            to: number;
        } | {
            /** @constant */
            type: "name";
            /** @enum {unknown} */
            in: "looks" | "media";
            name: string;
            to: Record<string, never> | null;
            from?: unknown;
        };
        /** @description `count`: the number of its questions. */
        EditionSection: {
            count: number;
            title: string;
            shuffled?: boolean;
            draw: components["schemas"]["Draw"] | null;
        };
        /** @description Attempts that ended since the teacher looked. */
        EndedRow: {
            ended: number;
            fullMarks: number;
            releaseId: string;
            title: string;
            course: string;
        };
        Erased: {
            /** @description The account was deleted too: it is in no other course. */
            account: boolean;
            sittings: number;
            /** @description The platforms that have marks of them. */
            elsewhere: string[];
        };
        /** @enum {string} */
        Exclude: "failed" | "waiting";
        /** @enum {string} */
        FeedbackLevel: "feedback" | "modelAnswer" | "nothing" | "verdicts";
        /** @enum {string} */
        FeedbackTime: "atOnce" | "closed" | "finished";
        /** @description Who chose what: learners by fifths of their total, and how many of each put an item into a place at first. */
        Fifths: {
            /** @description Learners in each fifth, from those with the least on. */
            learners: number[];
            rows: {
                item: number;
                /** @description A zone by its index, or {@link NOWHERE}. */
                zone: number;
                counts: number[];
            }[];
        };
        /** @description A figure with the bounds between which it lies, at 95 %, if the class stands for all such learners. */
        Figure: {
            value: number;
            low: number;
            high: number;
        };
        /** @description How a release was answered. */
        Figures: {
            /** @description First attempts, one for each learner. */
            learners: number;
            outOf: number;
            mean: null | number;
            /** @description Marks by tenths of the maximum. */
            distribution: number[];
            alpha: components["schemas"]["Figure"] | null;
            questions: components["schemas"]["QuestionAnalysis"][];
            sweepers: components["schemas"]["TrialAndError"][];
        };
        /** @description What the figures were under the edition before, question by question. */
        FiguresBefore: {
            edition: number;
            alpha: components["schemas"]["Figure"] | null;
            questions: components["schemas"]["QuestionFigures"][];
        };
        /** @description How many findings of each severity: what the Vault shows beside a question. */
        FindingCounts: {
            error: number;
            warning: number;
            note: number;
        };
        Finished: {
            releaseId: string;
            /** @description True if another attempt may be started. */
            another: boolean;
            counts: components["schemas"]["Counts"];
            id: string;
            /** Format: date-time */
            finishedAt: string;
            questions: {
                title: string;
                /** @description It does not count any more. */
                struck: boolean;
                tries: number;
                fullMarks: null | boolean;
                /** @description True if the learner reached it. */
                seen: boolean;
                /** @description Its points, and the points earned; null: not shown. */
                points: number;
                earned: null | number;
                reckoning: components["schemas"]["Reckoning"] | null;
            }[];
            /** @description Null if not all marks are shown. */
            total: {
                mark: number;
                max: number;
            } | null;
            /** @description Null: nothing was corrected, or the marks are not shown. */
            corrected: components["schemas"]["Corrected"] | null;
            /** @description True if the answers can be viewed again, with their feedback. */
            review: boolean;
            release: string;
            course: string;
            /** @description The course's language; null: none is said. */
            courseLang: null | string;
            appearance: components["schemas"]["Appearance"];
        };
        /** @description A fixture that answers now, by a verdict or because it stays as it answered. */
        FixtureAnswer: {
            fixture: string;
            /** @enum {string} */
            until: "next" | "reset";
            /** @description The fixture itself where it is not there without a verdict, and before which of the others it is drawn. */
            comes: {
                fixture: {
                    text: {
                        blocks: ({
                            /** @enum {string} */
                            dir?: "ltr" | "rtl";
                            /** @constant */
                            type: "paragraph";
                            runs: {
                                text?: string;
                                em?: boolean;
                                slot?: components["schemas"]["ZoneId"];
                                strong?: boolean;
                                mono?: boolean;
                                /** @enum {string} */
                                colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                lang?: string;
                                formula: {
                                    math: components["schemas"]["MathElement"];
                                    tex: string;
                                };
                            }[];
                        } | {
                            /** @enum {string} */
                            dir?: "ltr" | "rtl";
                            ordered: boolean;
                            entries: {
                                text?: string;
                                em?: boolean;
                                slot?: components["schemas"]["ZoneId"];
                                strong?: boolean;
                                mono?: boolean;
                                /** @enum {string} */
                                colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                lang?: string;
                                formula: {
                                    math: components["schemas"]["MathElement"];
                                    tex: string;
                                };
                            }[][];
                            /** @constant */
                            type: "list";
                        })[];
                    };
                    label: string;
                    x: number;
                    y: number;
                    /** @constant */
                    type: "text";
                    id: string;
                    letters: {
                        size: null | number;
                        face: ("book" | "code" | "hand" | "joined" | "narrow" | "round" | "school" | "steady") | null;
                        ownFace: components["schemas"]["MediaId"] | null;
                    } | null;
                    w: number;
                    h: number;
                    rotation: number;
                    front: boolean;
                    when: {
                        content: {
                            text: {
                                blocks: ({
                                    /** @enum {string} */
                                    dir?: "ltr" | "rtl";
                                    /** @constant */
                                    type: "paragraph";
                                    runs: {
                                        text?: string;
                                        em?: boolean;
                                        slot?: components["schemas"]["ZoneId"];
                                        strong?: boolean;
                                        mono?: boolean;
                                        /** @enum {string} */
                                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                        lang?: string;
                                        formula: {
                                            math: components["schemas"]["MathElement"];
                                            tex: string;
                                        };
                                    }[];
                                } | {
                                    /** @enum {string} */
                                    dir?: "ltr" | "rtl";
                                    ordered: boolean;
                                    entries: {
                                        text?: string;
                                        em?: boolean;
                                        slot?: components["schemas"]["ZoneId"];
                                        strong?: boolean;
                                        mono?: boolean;
                                        /** @enum {string} */
                                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                        lang?: string;
                                        formula: {
                                            math: components["schemas"]["MathElement"];
                                            tex: string;
                                        };
                                    }[][];
                                    /** @constant */
                                    type: "list";
                                })[];
                            } | null;
                            picture: components["schemas"]["MediaId"] | null;
                            sound: components["schemas"]["MediaId"] | null;
                        } | null;
                        events: {
                            item?: components["schemas"]["ItemId"];
                            zone?: components["schemas"]["ZoneId"];
                            count?: number;
                            /** @enum {string} */
                            on: "full" | "holds" | "partly" | "putAway" | "right" | "taking" | "wrong";
                        }[];
                        /** @enum {string} */
                        does: "appears" | "disappears" | "shows";
                        /** @enum {string} */
                        until: "next" | "reset";
                    } | null;
                } | {
                    label: string;
                    x: number;
                    y: number;
                    media: string;
                    /** @constant */
                    type: "picture";
                    id: string;
                    w: number;
                    h: number;
                    rotation: number;
                    front: boolean;
                    when: {
                        content: {
                            text: {
                                blocks: ({
                                    /** @enum {string} */
                                    dir?: "ltr" | "rtl";
                                    /** @constant */
                                    type: "paragraph";
                                    runs: {
                                        text?: string;
                                        em?: boolean;
                                        slot?: components["schemas"]["ZoneId"];
                                        strong?: boolean;
                                        mono?: boolean;
                                        /** @enum {string} */
                                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                        lang?: string;
                                        formula: {
                                            math: components["schemas"]["MathElement"];
                                            tex: string;
                                        };
                                    }[];
                                } | {
                                    /** @enum {string} */
                                    dir?: "ltr" | "rtl";
                                    ordered: boolean;
                                    entries: {
                                        text?: string;
                                        em?: boolean;
                                        slot?: components["schemas"]["ZoneId"];
                                        strong?: boolean;
                                        mono?: boolean;
                                        /** @enum {string} */
                                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                        lang?: string;
                                        formula: {
                                            math: components["schemas"]["MathElement"];
                                            tex: string;
                                        };
                                    }[][];
                                    /** @constant */
                                    type: "list";
                                })[];
                            } | null;
                            picture: components["schemas"]["MediaId"] | null;
                            sound: components["schemas"]["MediaId"] | null;
                        } | null;
                        events: {
                            item?: components["schemas"]["ItemId"];
                            zone?: components["schemas"]["ZoneId"];
                            count?: number;
                            /** @enum {string} */
                            on: "full" | "holds" | "partly" | "putAway" | "right" | "taking" | "wrong";
                        }[];
                        /** @enum {string} */
                        does: "appears" | "disappears" | "shows";
                        /** @enum {string} */
                        until: "next" | "reset";
                    } | null;
                } | {
                    label: string;
                    fill: null | string;
                    x: number;
                    y: number;
                    /** @constant */
                    type: "shape";
                    id: string;
                    w: number;
                    h: number;
                    rotation: number;
                    front: boolean;
                    when: {
                        content: {
                            text: {
                                blocks: ({
                                    /** @enum {string} */
                                    dir?: "ltr" | "rtl";
                                    /** @constant */
                                    type: "paragraph";
                                    runs: {
                                        text?: string;
                                        em?: boolean;
                                        slot?: components["schemas"]["ZoneId"];
                                        strong?: boolean;
                                        mono?: boolean;
                                        /** @enum {string} */
                                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                        lang?: string;
                                        formula: {
                                            math: components["schemas"]["MathElement"];
                                            tex: string;
                                        };
                                    }[];
                                } | {
                                    /** @enum {string} */
                                    dir?: "ltr" | "rtl";
                                    ordered: boolean;
                                    entries: {
                                        text?: string;
                                        em?: boolean;
                                        slot?: components["schemas"]["ZoneId"];
                                        strong?: boolean;
                                        mono?: boolean;
                                        /** @enum {string} */
                                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                        lang?: string;
                                        formula: {
                                            math: components["schemas"]["MathElement"];
                                            tex: string;
                                        };
                                    }[][];
                                    /** @constant */
                                    type: "list";
                                })[];
                            } | null;
                            picture: components["schemas"]["MediaId"] | null;
                            sound: components["schemas"]["MediaId"] | null;
                        } | null;
                        events: {
                            item?: components["schemas"]["ItemId"];
                            zone?: components["schemas"]["ZoneId"];
                            count?: number;
                            /** @enum {string} */
                            on: "full" | "holds" | "partly" | "putAway" | "right" | "taking" | "wrong";
                        }[];
                        /** @enum {string} */
                        does: "appears" | "disappears" | "shows";
                        /** @enum {string} */
                        until: "next" | "reset";
                    } | null;
                    shape: {
                        x: number;
                        y: number;
                        /** @constant */
                        type: "rect";
                        w: number;
                        h: number;
                    } | {
                        cx: number;
                        cy: number;
                        rx: number;
                        ry: number;
                        /** @constant */
                        type: "ellipse";
                    } | {
                        /** @constant */
                        type: "polygon";
                        points: [
                            number,
                            number
                        ][];
                    } | {
                        /** @constant */
                        type: "slot";
                    };
                    edge: null | string;
                    edgeWidth: number;
                } | {
                    label: string;
                    x: number;
                    y: number;
                    media: string;
                    /** @constant */
                    type: "sound";
                    id: string;
                    w: number;
                    h: number;
                    rotation: number;
                    front: boolean;
                    when: {
                        content: {
                            text: {
                                blocks: ({
                                    /** @enum {string} */
                                    dir?: "ltr" | "rtl";
                                    /** @constant */
                                    type: "paragraph";
                                    runs: {
                                        text?: string;
                                        em?: boolean;
                                        slot?: components["schemas"]["ZoneId"];
                                        strong?: boolean;
                                        mono?: boolean;
                                        /** @enum {string} */
                                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                        lang?: string;
                                        formula: {
                                            math: components["schemas"]["MathElement"];
                                            tex: string;
                                        };
                                    }[];
                                } | {
                                    /** @enum {string} */
                                    dir?: "ltr" | "rtl";
                                    ordered: boolean;
                                    entries: {
                                        text?: string;
                                        em?: boolean;
                                        slot?: components["schemas"]["ZoneId"];
                                        strong?: boolean;
                                        mono?: boolean;
                                        /** @enum {string} */
                                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                        lang?: string;
                                        formula: {
                                            math: components["schemas"]["MathElement"];
                                            tex: string;
                                        };
                                    }[][];
                                    /** @constant */
                                    type: "list";
                                })[];
                            } | null;
                            picture: components["schemas"]["MediaId"] | null;
                            sound: components["schemas"]["MediaId"] | null;
                        } | null;
                        events: {
                            item?: components["schemas"]["ItemId"];
                            zone?: components["schemas"]["ZoneId"];
                            count?: number;
                            /** @enum {string} */
                            on: "full" | "holds" | "partly" | "putAway" | "right" | "taking" | "wrong";
                        }[];
                        /** @enum {string} */
                        does: "appears" | "disappears" | "shows";
                        /** @enum {string} */
                        until: "next" | "reset";
                    } | null;
                } | {
                    label: string;
                    x: number;
                    y: number;
                    media: string;
                    /** @constant */
                    type: "film";
                    id: string;
                    w: number;
                    h: number;
                    rotation: number;
                    front: boolean;
                    when: {
                        content: {
                            text: {
                                blocks: ({
                                    /** @enum {string} */
                                    dir?: "ltr" | "rtl";
                                    /** @constant */
                                    type: "paragraph";
                                    runs: {
                                        text?: string;
                                        em?: boolean;
                                        slot?: components["schemas"]["ZoneId"];
                                        strong?: boolean;
                                        mono?: boolean;
                                        /** @enum {string} */
                                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                        lang?: string;
                                        formula: {
                                            math: components["schemas"]["MathElement"];
                                            tex: string;
                                        };
                                    }[];
                                } | {
                                    /** @enum {string} */
                                    dir?: "ltr" | "rtl";
                                    ordered: boolean;
                                    entries: {
                                        text?: string;
                                        em?: boolean;
                                        slot?: components["schemas"]["ZoneId"];
                                        strong?: boolean;
                                        mono?: boolean;
                                        /** @enum {string} */
                                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                        lang?: string;
                                        formula: {
                                            math: components["schemas"]["MathElement"];
                                            tex: string;
                                        };
                                    }[][];
                                    /** @constant */
                                    type: "list";
                                })[];
                            } | null;
                            picture: components["schemas"]["MediaId"] | null;
                            sound: components["schemas"]["MediaId"] | null;
                        } | null;
                        events: {
                            item?: components["schemas"]["ItemId"];
                            zone?: components["schemas"]["ZoneId"];
                            count?: number;
                            /** @enum {string} */
                            on: "full" | "holds" | "partly" | "putAway" | "right" | "taking" | "wrong";
                        }[];
                        /** @enum {string} */
                        does: "appears" | "disappears" | "shows";
                        /** @enum {string} */
                        until: "next" | "reset";
                    } | null;
                };
                before: number;
            } | null;
            /** @description What it shows instead. */
            shows: components["schemas"]["Said"] | null;
        };
        /** @description A formula as it is drawn, and as it is spoken and found. */
        Formula: {
            text: string;
            math: components["schemas"]["MathElement"];
        };
        Found: {
            kind: components["schemas"]["FoundKind"];
            id: string;
            title: string;
            /** @description The course of a release or a learner; null: none. */
            course: {
                id: string;
                title: string;
            } | null;
        };
        /** @enum {string} */
        FoundKind: "course" | "learner" | "question" | "release" | "set";
        FrameworkView: {
            id: string;
            title: string;
            /** @description The identifier of its document of CASE; null: a list. */
            identifier: null | string;
            /** @description It can be changed by whoever asks. */
            mine: boolean;
            by: string;
            /** @description Parents before children, in their order. */
            outcomes: components["schemas"]["OutcomeRow"][];
        };
        /** @description What of a course goes to other systems. */
        GoesOutside: {
            platforms: {
                name: string;
                issuer: string;
                /** @description Its roster can be taken. */
                roster: boolean;
                /** @description The titles of the releases whose marks it takes. */
                releases: string[];
                /** @description How many learners came by a link to one of them. */
                learners: number;
                /** @description How many marks have arrived there. */
                arrived: number;
            }[];
            /** @description The record store of the installation; null: statements are sent nowhere. */
            store: {
                address: string;
                /** @description Learners' names go along. */
                names: boolean;
                /** Format: date-time */
                since: string;
                /** @description Of how many learners of this course something has arrived there. */
                learners: number;
            } | null;
        };
        GradeCell: {
            /** @description Null: none. */
            points: null | number;
            outOf: number;
            state: components["schemas"]["CellState"];
            late: boolean;
            /** @description The reason, if it was set by hand. */
            byHand: null | string;
            /** @description What a teacher has noted, for teachers; empty: nothing. */
            note: string;
            /** @description The attempt that counts, else the latest; null: there is none. */
            attempt: null | string;
            /** @description How many attempts the learner began. */
            attempts: number;
            sending: components["schemas"]["Sending"];
        };
        /** @description The mean share of those who have a mark, from 0 to 1, and how many they are; null: nobody has. */
        GradeMean: {
            mean: null | number;
            count: number;
        };
        GradeMeans: {
            overall: components["schemas"]["GradeMean"];
            /** @description By release, in the order of the gradebook's columns. */
            releases: components["schemas"]["GradeMean"][];
        };
        GradeRelease: {
            id: string;
            title: string;
            unitId: null | string;
            categoryId: null | string;
            dueAt: string | null;
            closesAt: string | null;
            outOf: number;
            /** @description Its marks go to a platform; `refused`: the platform takes none for it. Null: it is linked nowhere. */
            scores: ("refused" | "sent") | null;
        };
        GradeRow: {
            learnerId: string;
            name: string;
            username: null | string;
            /** @description The titles of their groups. */
            groups: string[];
            cells: components["schemas"]["GradeCell"][];
            /** @description From 0 to 1; null: nothing counts yet. */
            whole: null | number;
            /** @description By the letter grades of the course; null: none. */
            letter: null | string;
        };
        GradebookPage: {
            /** @description By unit, in its order. */
            releases: components["schemas"]["GradeRelease"][];
            units: {
                id: string;
                title: string;
            }[];
            categories: {
                id: string;
                title: string;
                weight: number;
            }[];
            groups: {
                id: string;
                title: string;
            }[];
            letters: components["schemas"]["LetterGrade"][];
            rows: components["schemas"]["GradeRow"][];
            total: number;
            from: number;
        };
        GroupRow: {
            learners: number;
            revision: number;
            id: string;
            title: string;
        };
        Imported: {
            shelves: number;
            questions: {
                id: string;
                title: string;
            }[];
            sets: {
                id: string;
                title: string;
            }[];
            media: number;
            /** @description What was not imported, and why. */
            left: {
                file: string;
                message: string;
            }[];
            /** @description What of a question came in otherwise than it was, from another program. */
            approximated: {
                title: string;
                message: string;
            }[];
        };
        InstallationView: {
            /** @description The person who asks may change it. */
            mayChange: boolean;
            /** @description Teachers may enrol any account at once, without an invitation. */
            directEnrolment: boolean;
        };
        InvitationRow: {
            courseId: string;
            course: string;
            teacher: string;
        };
        ItemId: string;
        /** @enum {string} */
        JobState: "done" | "failed" | "running" | "waiting";
        JobView: {
            id: string;
            state: components["schemas"]["JobState"];
            done: number;
            total: number;
            /** @description The error; null: none. */
            problems: {
                path: string;
                message: string;
            }[] | null;
        };
        /** @description Two things that are put together, and how many had them so at last. */
        JointAnswers: {
            /** @description The place where something is joined on. */
            zone: number;
            /** @description To what: the place beside it, or the item that it rides on. */
            to: {
                zone: number;
            } | {
                item: number;
            };
            /** @description So many had what belongs there on both sides. */
            learners: number;
        };
        /** @enum {string} */
        Kind: "build" | "count" | "free" | "gaps" | "label" | "mark" | "order" | "pick" | "sort";
        /** @description An item and a zone as a learner's browser has them: named for the sitting, with nothing of what they are worth. */
        LearnerItem: {
            label: string;
            content: {
                text: {
                    blocks: ({
                        /** @enum {string} */
                        dir?: "ltr" | "rtl";
                        /** @constant */
                        type: "paragraph";
                        runs: {
                            text?: string;
                            em?: boolean;
                            slot?: components["schemas"]["ZoneId"];
                            strong?: boolean;
                            mono?: boolean;
                            /** @enum {string} */
                            colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                            lang?: string;
                            formula: {
                                math: components["schemas"]["MathElement"];
                                tex: string;
                            };
                        }[];
                    } | {
                        /** @enum {string} */
                        dir?: "ltr" | "rtl";
                        ordered: boolean;
                        entries: {
                            text?: string;
                            em?: boolean;
                            slot?: components["schemas"]["ZoneId"];
                            strong?: boolean;
                            mono?: boolean;
                            /** @enum {string} */
                            colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                            lang?: string;
                            formula: {
                                math: components["schemas"]["MathElement"];
                                tex: string;
                            };
                        }[][];
                        /** @constant */
                        type: "list";
                    })[];
                } | null;
                picture: components["schemas"]["MediaId"] | null;
                sound: components["schemas"]["MediaId"] | null;
            } | null;
            size: {
                w: number;
                h: number;
            };
            lang: null | string;
            rotation: number;
            copies: "endless" | number;
            family: null | string;
            look: null | string;
            stays: boolean;
            again: boolean;
            goesHome: boolean;
        } & {
            id: string;
            home: {
                x: number;
                y: number;
            };
            /** @description Only where learners see the sum of what they place; else null. */
            value: null | number;
        };
        /**
         * @description What of a question is sent to a learner before a check. Every field is named here one by one, so that a new field of
         *     the document stays on the server until somebody decides otherwise.
         */
        LearnerQuestion: {
            title: string;
            /** @description The language it is written in, and that of its title; null: none is said, or the same. */
            lang: null | string;
            titleLang: null | string;
            prompt: {
                blocks: ({
                    /** @enum {string} */
                    dir?: "ltr" | "rtl";
                    /** @constant */
                    type: "paragraph";
                    runs: {
                        text?: string;
                        em?: boolean;
                        slot?: components["schemas"]["ZoneId"];
                        strong?: boolean;
                        mono?: boolean;
                        /** @enum {string} */
                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                        lang?: string;
                        formula: {
                            math: components["schemas"]["MathElement"];
                            tex: string;
                        };
                    }[];
                } | {
                    /** @enum {string} */
                    dir?: "ltr" | "rtl";
                    ordered: boolean;
                    entries: {
                        text?: string;
                        em?: boolean;
                        slot?: components["schemas"]["ZoneId"];
                        strong?: boolean;
                        mono?: boolean;
                        /** @enum {string} */
                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                        lang?: string;
                        formula: {
                            math: components["schemas"]["MathElement"];
                            tex: string;
                        };
                    }[][];
                    /** @constant */
                    type: "list";
                })[];
            } | null;
            promptSound: null | string;
            scene: {
                height: number;
                width: number;
            };
            tray: {
                /** @enum {string} */
                order: "asListed" | "shuffled";
                size: number;
                /** @enum {string} */
                side: "bottom" | "left" | "right" | "top";
            } | null;
            dress: {
                ground: {
                    picture: components["schemas"]["MediaId"] | null;
                    frame: ("corners" | "double" | "line" | "stitched") | null;
                    colour: null | string;
                    texture: ("dotted" | "leaves" | "lined" | "linen" | "squared" | "stone" | "weave" | "wood") | null;
                } | null;
                letters: {
                    size: null | number;
                    face: ("book" | "code" | "hand" | "joined" | "narrow" | "round" | "school" | "steady") | null;
                    ownFace: components["schemas"]["MediaId"] | null;
                } | null;
            } | null;
            fixtures: ({
                text: {
                    blocks: ({
                        /** @enum {string} */
                        dir?: "ltr" | "rtl";
                        /** @constant */
                        type: "paragraph";
                        runs: {
                            text?: string;
                            em?: boolean;
                            slot?: components["schemas"]["ZoneId"];
                            strong?: boolean;
                            mono?: boolean;
                            /** @enum {string} */
                            colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                            lang?: string;
                            formula: {
                                math: components["schemas"]["MathElement"];
                                tex: string;
                            };
                        }[];
                    } | {
                        /** @enum {string} */
                        dir?: "ltr" | "rtl";
                        ordered: boolean;
                        entries: {
                            text?: string;
                            em?: boolean;
                            slot?: components["schemas"]["ZoneId"];
                            strong?: boolean;
                            mono?: boolean;
                            /** @enum {string} */
                            colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                            lang?: string;
                            formula: {
                                math: components["schemas"]["MathElement"];
                                tex: string;
                            };
                        }[][];
                        /** @constant */
                        type: "list";
                    })[];
                };
                label: string;
                x: number;
                y: number;
                /** @constant */
                type: "text";
                id: string;
                letters: {
                    size: null | number;
                    face: ("book" | "code" | "hand" | "joined" | "narrow" | "round" | "school" | "steady") | null;
                    ownFace: components["schemas"]["MediaId"] | null;
                } | null;
                w: number;
                h: number;
                rotation: number;
                front: boolean;
                when: {
                    content: {
                        text: {
                            blocks: ({
                                /** @enum {string} */
                                dir?: "ltr" | "rtl";
                                /** @constant */
                                type: "paragraph";
                                runs: {
                                    text?: string;
                                    em?: boolean;
                                    slot?: components["schemas"]["ZoneId"];
                                    strong?: boolean;
                                    mono?: boolean;
                                    /** @enum {string} */
                                    colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                    lang?: string;
                                    formula: {
                                        math: components["schemas"]["MathElement"];
                                        tex: string;
                                    };
                                }[];
                            } | {
                                /** @enum {string} */
                                dir?: "ltr" | "rtl";
                                ordered: boolean;
                                entries: {
                                    text?: string;
                                    em?: boolean;
                                    slot?: components["schemas"]["ZoneId"];
                                    strong?: boolean;
                                    mono?: boolean;
                                    /** @enum {string} */
                                    colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                    lang?: string;
                                    formula: {
                                        math: components["schemas"]["MathElement"];
                                        tex: string;
                                    };
                                }[][];
                                /** @constant */
                                type: "list";
                            })[];
                        } | null;
                        picture: components["schemas"]["MediaId"] | null;
                        sound: components["schemas"]["MediaId"] | null;
                    } | null;
                    events: {
                        item?: components["schemas"]["ItemId"];
                        zone?: components["schemas"]["ZoneId"];
                        count?: number;
                        /** @enum {string} */
                        on: "full" | "holds" | "partly" | "putAway" | "right" | "taking" | "wrong";
                    }[];
                    /** @enum {string} */
                    does: "appears" | "disappears" | "shows";
                    /** @enum {string} */
                    until: "next" | "reset";
                } | null;
            } | {
                label: string;
                x: number;
                y: number;
                media: string;
                /** @constant */
                type: "picture";
                id: string;
                w: number;
                h: number;
                rotation: number;
                front: boolean;
                when: {
                    content: {
                        text: {
                            blocks: ({
                                /** @enum {string} */
                                dir?: "ltr" | "rtl";
                                /** @constant */
                                type: "paragraph";
                                runs: {
                                    text?: string;
                                    em?: boolean;
                                    slot?: components["schemas"]["ZoneId"];
                                    strong?: boolean;
                                    mono?: boolean;
                                    /** @enum {string} */
                                    colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                    lang?: string;
                                    formula: {
                                        math: components["schemas"]["MathElement"];
                                        tex: string;
                                    };
                                }[];
                            } | {
                                /** @enum {string} */
                                dir?: "ltr" | "rtl";
                                ordered: boolean;
                                entries: {
                                    text?: string;
                                    em?: boolean;
                                    slot?: components["schemas"]["ZoneId"];
                                    strong?: boolean;
                                    mono?: boolean;
                                    /** @enum {string} */
                                    colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                    lang?: string;
                                    formula: {
                                        math: components["schemas"]["MathElement"];
                                        tex: string;
                                    };
                                }[][];
                                /** @constant */
                                type: "list";
                            })[];
                        } | null;
                        picture: components["schemas"]["MediaId"] | null;
                        sound: components["schemas"]["MediaId"] | null;
                    } | null;
                    events: {
                        item?: components["schemas"]["ItemId"];
                        zone?: components["schemas"]["ZoneId"];
                        count?: number;
                        /** @enum {string} */
                        on: "full" | "holds" | "partly" | "putAway" | "right" | "taking" | "wrong";
                    }[];
                    /** @enum {string} */
                    does: "appears" | "disappears" | "shows";
                    /** @enum {string} */
                    until: "next" | "reset";
                } | null;
            } | {
                label: string;
                fill: null | string;
                x: number;
                y: number;
                /** @constant */
                type: "shape";
                id: string;
                w: number;
                h: number;
                rotation: number;
                front: boolean;
                when: {
                    content: {
                        text: {
                            blocks: ({
                                /** @enum {string} */
                                dir?: "ltr" | "rtl";
                                /** @constant */
                                type: "paragraph";
                                runs: {
                                    text?: string;
                                    em?: boolean;
                                    slot?: components["schemas"]["ZoneId"];
                                    strong?: boolean;
                                    mono?: boolean;
                                    /** @enum {string} */
                                    colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                    lang?: string;
                                    formula: {
                                        math: components["schemas"]["MathElement"];
                                        tex: string;
                                    };
                                }[];
                            } | {
                                /** @enum {string} */
                                dir?: "ltr" | "rtl";
                                ordered: boolean;
                                entries: {
                                    text?: string;
                                    em?: boolean;
                                    slot?: components["schemas"]["ZoneId"];
                                    strong?: boolean;
                                    mono?: boolean;
                                    /** @enum {string} */
                                    colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                    lang?: string;
                                    formula: {
                                        math: components["schemas"]["MathElement"];
                                        tex: string;
                                    };
                                }[][];
                                /** @constant */
                                type: "list";
                            })[];
                        } | null;
                        picture: components["schemas"]["MediaId"] | null;
                        sound: components["schemas"]["MediaId"] | null;
                    } | null;
                    events: {
                        item?: components["schemas"]["ItemId"];
                        zone?: components["schemas"]["ZoneId"];
                        count?: number;
                        /** @enum {string} */
                        on: "full" | "holds" | "partly" | "putAway" | "right" | "taking" | "wrong";
                    }[];
                    /** @enum {string} */
                    does: "appears" | "disappears" | "shows";
                    /** @enum {string} */
                    until: "next" | "reset";
                } | null;
                shape: {
                    x: number;
                    y: number;
                    /** @constant */
                    type: "rect";
                    w: number;
                    h: number;
                } | {
                    cx: number;
                    cy: number;
                    rx: number;
                    ry: number;
                    /** @constant */
                    type: "ellipse";
                } | {
                    /** @constant */
                    type: "polygon";
                    points: [
                        number,
                        number
                    ][];
                } | {
                    /** @constant */
                    type: "slot";
                };
                edge: null | string;
                edgeWidth: number;
            } | {
                label: string;
                x: number;
                y: number;
                media: string;
                /** @constant */
                type: "sound";
                id: string;
                w: number;
                h: number;
                rotation: number;
                front: boolean;
                when: {
                    content: {
                        text: {
                            blocks: ({
                                /** @enum {string} */
                                dir?: "ltr" | "rtl";
                                /** @constant */
                                type: "paragraph";
                                runs: {
                                    text?: string;
                                    em?: boolean;
                                    slot?: components["schemas"]["ZoneId"];
                                    strong?: boolean;
                                    mono?: boolean;
                                    /** @enum {string} */
                                    colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                    lang?: string;
                                    formula: {
                                        math: components["schemas"]["MathElement"];
                                        tex: string;
                                    };
                                }[];
                            } | {
                                /** @enum {string} */
                                dir?: "ltr" | "rtl";
                                ordered: boolean;
                                entries: {
                                    text?: string;
                                    em?: boolean;
                                    slot?: components["schemas"]["ZoneId"];
                                    strong?: boolean;
                                    mono?: boolean;
                                    /** @enum {string} */
                                    colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                    lang?: string;
                                    formula: {
                                        math: components["schemas"]["MathElement"];
                                        tex: string;
                                    };
                                }[][];
                                /** @constant */
                                type: "list";
                            })[];
                        } | null;
                        picture: components["schemas"]["MediaId"] | null;
                        sound: components["schemas"]["MediaId"] | null;
                    } | null;
                    events: {
                        item?: components["schemas"]["ItemId"];
                        zone?: components["schemas"]["ZoneId"];
                        count?: number;
                        /** @enum {string} */
                        on: "full" | "holds" | "partly" | "putAway" | "right" | "taking" | "wrong";
                    }[];
                    /** @enum {string} */
                    does: "appears" | "disappears" | "shows";
                    /** @enum {string} */
                    until: "next" | "reset";
                } | null;
            } | {
                label: string;
                x: number;
                y: number;
                media: string;
                /** @constant */
                type: "film";
                id: string;
                w: number;
                h: number;
                rotation: number;
                front: boolean;
                when: {
                    content: {
                        text: {
                            blocks: ({
                                /** @enum {string} */
                                dir?: "ltr" | "rtl";
                                /** @constant */
                                type: "paragraph";
                                runs: {
                                    text?: string;
                                    em?: boolean;
                                    slot?: components["schemas"]["ZoneId"];
                                    strong?: boolean;
                                    mono?: boolean;
                                    /** @enum {string} */
                                    colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                    lang?: string;
                                    formula: {
                                        math: components["schemas"]["MathElement"];
                                        tex: string;
                                    };
                                }[];
                            } | {
                                /** @enum {string} */
                                dir?: "ltr" | "rtl";
                                ordered: boolean;
                                entries: {
                                    text?: string;
                                    em?: boolean;
                                    slot?: components["schemas"]["ZoneId"];
                                    strong?: boolean;
                                    mono?: boolean;
                                    /** @enum {string} */
                                    colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                                    lang?: string;
                                    formula: {
                                        math: components["schemas"]["MathElement"];
                                        tex: string;
                                    };
                                }[][];
                                /** @constant */
                                type: "list";
                            })[];
                        } | null;
                        picture: components["schemas"]["MediaId"] | null;
                        sound: components["schemas"]["MediaId"] | null;
                    } | null;
                    events: {
                        item?: components["schemas"]["ItemId"];
                        zone?: components["schemas"]["ZoneId"];
                        count?: number;
                        /** @enum {string} */
                        on: "full" | "holds" | "partly" | "putAway" | "right" | "taking" | "wrong";
                    }[];
                    /** @enum {string} */
                    does: "appears" | "disappears" | "shows";
                    /** @enum {string} */
                    until: "next" | "reset";
                } | null;
            })[];
            looks: Record<string, never>;
            media: Record<string, never>;
            zones: components["schemas"]["LearnerZone"][];
            /**
             * @description There are zones beside these, where something has to be found; `places` are what *As a list* and the keys offer
             *     then.
             */
            hides: boolean;
            places: {
                label: string;
                x: number;
                y: number;
            }[];
            tries: null | number;
            /** @enum {string} */
            judging: "onCheck" | "onLand";
            /** @enum {string} */
            afterMiss: "leave" | "sendAllHome" | "sendWrongHome";
            start: {
                item: string;
                copy?: number;
                zone: string;
            }[];
            show: {
                mark: boolean;
                count: boolean;
                runningTotal: boolean;
                nextOnlyAfterCheck: boolean;
                aids: ("calculator" | "readAloud")[];
            };
            buttons: {
                next: null | string;
                reset: null | string;
                check: null | string;
                hint: null | string;
            };
            items: components["schemas"]["LearnerItem"][];
        };
        LearnerRelease: {
            id: string;
            title: string;
            course: string;
            courseId: string;
            /** @description The unit it stands in; null: none. */
            unit: null | string;
            /** Format: date-time */
            createdAt: string;
            opensAt: string | null;
            dueAt: string | null;
            closesAt: string | null;
            minutes: null | number;
            practice: boolean;
            questions: number;
            /** @description The place, from 1, of the furthest question of an attempt that runs; null: none does. */
            at: null | number;
            /** @description What corrections did to the mark that counts; null: nothing, or marks are not shown. */
            corrected: components["schemas"]["Corrected"] | null;
            /** @description A teacher has excused the learner: it does not count. */
            excused: boolean;
            /** @description The mark of the attempt that counts. Null before the first check, and if the learner may not see the marks. */
            mark: null | number;
            max: null | number;
            /**
             * @description `again`: finished, and another attempt may be started.
             * @enum {string}
             */
            state: "again" | "closed" | "early" | "finished" | "started" | "waiting";
        };
        LearnerReport: {
            /** @description `lang`: its language; null: none is said. */
            course: {
                id: string;
                title: string;
                lang: null | string;
            };
            learner: {
                id: string;
                name: string;
            };
            /** @description The overall mark, from 0 to 1; null: nothing counts yet. */
            overall: null | number;
            /** @description By the letter grades of the course; null: none. */
            letter: null | string;
            /** @description The parts of the overall mark; empty: all points count alike. */
            categories: components["schemas"]["ReportCategory"][];
            /** @description What the learner shows, by outcome; empty: no question has one, or marks are not told yet. */
            outcomes: components["schemas"]["ReportOutcome"][];
            releases: components["schemas"]["ReportRelease"][];
        };
        LearnerRow: {
            id: string;
            name: string;
            username: null | string;
            /** @description True if the teacher who asks made the account, and so may reset its password. */
            mine: boolean;
            groups: string[];
            /** @description They have pictures to sign in with. */
            pictures: boolean;
        };
        LearnerZone: {
            title: {
                blocks: ({
                    /** @enum {string} */
                    dir?: "ltr" | "rtl";
                    /** @constant */
                    type: "paragraph";
                    runs: {
                        text?: string;
                        em?: boolean;
                        slot?: components["schemas"]["ZoneId"];
                        strong?: boolean;
                        mono?: boolean;
                        /** @enum {string} */
                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                        lang?: string;
                        formula: {
                            math: components["schemas"]["MathElement"];
                            tex: string;
                        };
                    }[];
                } | {
                    /** @enum {string} */
                    dir?: "ltr" | "rtl";
                    ordered: boolean;
                    entries: {
                        text?: string;
                        em?: boolean;
                        slot?: components["schemas"]["ZoneId"];
                        strong?: boolean;
                        mono?: boolean;
                        /** @enum {string} */
                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                        lang?: string;
                        formula: {
                            math: components["schemas"]["MathElement"];
                            tex: string;
                        };
                    }[][];
                    /** @constant */
                    type: "list";
                })[];
            } | null;
            label: string;
            menu: boolean;
            lang: null | string;
            rotation: number;
            shape: {
                x: number;
                y: number;
                /** @constant */
                type: "rect";
                w: number;
                h: number;
            } | {
                cx: number;
                cy: number;
                rx: number;
                ry: number;
                /** @constant */
                type: "ellipse";
            } | {
                /** @constant */
                type: "polygon";
                points: [
                    number,
                    number
                ][];
            } | {
                /** @constant */
                type: "slot";
            };
            family: null | string;
            look: null | string;
            reach: {
                /** @constant */
                rule: "touch";
            } | {
                /** @constant */
                rule: "centre";
            } | {
                /** @constant */
                rule: "share";
                share: number;
            } | {
                /** @constant */
                rule: "inside";
            } | {
                /** @constant */
                rule: "pointer";
            };
            /** @enum {string} */
            welcome: "anyone" | "keyed";
            capacity: null | number;
            /** @enum {string} */
            whenFull: "refuse" | "swap";
            settle: {
                /** @constant */
                rule: "asDropped";
            } | {
                gap: number;
                /** @enum {string} */
                at: "bottom" | "bottomLeft" | "bottomRight" | "left" | "middle" | "right" | "top" | "topLeft" | "topRight";
                /** @constant */
                rule: "anchor";
            } | {
                gap: number;
                /** @constant */
                rule: "row";
            } | {
                gap: number;
                /** @constant */
                rule: "column";
            } | {
                gap: number;
                /** @constant */
                rule: "grid";
            } | {
                /** @constant */
                rule: "pile";
            };
            floor: boolean;
            chars: null | number;
            lid: {
                label: string;
                startsOpen: boolean;
            } | null;
        } & {
            id: string;
            typed: boolean;
            ridesOn: null | string;
        };
        LeftRow: {
            id: string;
            name: string;
            username: null | string;
        };
        /** @description A letter grade, and the share from 0 to 1 that it begins at. */
        LetterGrade: {
            letter: string;
            from: number;
        };
        ListRow: {
            id: string;
            title: string;
            /** @description Of words, pairs or more: the cells of each line. */
            rows: string[][];
            pictures: components["schemas"]["WordPicture"][];
            /** Format: date-time */
            changedAt: string;
            /** @description The revision that a write has to name. */
            revision: number;
        };
        /** @description An attempt as it stands, or a learner who has not begun. Questions by their index in the release. */
        LiveLearner: {
            learnerId: string;
            name: string;
            /** @description Null: they have not begun. */
            sittingId: null | string;
            /** @description Which of their attempts it is, from 1. */
            number: number;
            /** @description The question of their last move, and its place in their attempt, from 1; null: none yet. */
            question: null | number;
            place: null | number;
            /** @description In that question. `of`: how many there are to place; null: that cannot be said. */
            tries: number;
            placed: number;
            of: null | number;
            /** @description Times as JSON has them. */
            startedAt: null | string;
            movedAt: null | string;
            finishedAt: null | string;
        };
        LiveQuestion: {
            title: string;
            zones: string[];
            /** @description By item and zone: it belongs there. */
            keyed: boolean[][];
            items: string[];
        };
        LiveView: {
            release: {
                id: string;
                title: string;
                course: string;
                courseId: string;
                minutes: null | number;
                closesAt: null | string;
            };
            questions: components["schemas"]["LiveQuestion"][];
            /** @description The id of the last event in it. */
            last: string;
            /** @description The server's clock. */
            now: string;
            learners: components["schemas"]["LiveLearner"][];
            counts: {
                [key: string]: number[][];
            };
        };
        /** @description What is in a package, before anything of it is taken. Questions and sets are ticked by their places in these lists. */
        LookedAtPackage: {
            /** @enum {string} */
            form: "own" | "qti";
            questions: components["schemas"]["ArrivingQuestion"][];
            sets: {
                title: string;
                questions: number;
                approximations: string[];
            }[];
            shelves: number;
            /** @description What cannot be read, and why. */
            left: {
                file: string;
                message: string;
            }[];
            pictures: Record<string, never>;
        };
        /** @enum {string} */
        MailDays: "everyDay" | "mondays" | "schoolDays";
        /** @description The changed questions, and the former shelves of those that were moved, for undoing. */
        ManyChanged: {
            changed: string[];
            stood: {
                shelfId: null | string;
                ids: string[];
            }[];
        };
        /** @description What was marked on a picture whose places are hidden. */
        MarkAnswers: {
            /** @description Where markers were at last: their middles, in scene units. */
            points: [
                number,
                number,
                components["schemas"]["MarkOutcome"]
            ][];
            counts: {
                double: number;
                hit: number;
                miss: number;
            };
            /** @description The places that are sought, with how many found each. */
            found: {
                zone: number;
                learners: number;
            }[];
        };
        /**
         * @description What became of a marker: in a place that was sought, in one that had one already, or in none.
         * @enum {string}
         */
        MarkOutcome: "double" | "hit" | "miss";
        Marked: {
            mark: number;
            max: number;
        };
        /** @description Marks by outcome, of a release or of a whole course. */
        MasteryView: {
            title: string;
            courseId: string;
            outcomes: components["schemas"]["OutcomeMarks"][];
            needs: Record<string, never>;
            /** @description Who answered anything of it, by name, up to `MAX_MATRIX`. */
            learners: {
                learnerId: string;
                name: string;
                shares: Record<string, never>;
            }[];
            /** @description How many answered anything of it. */
            answered: number;
            /** @description Questions that have no outcome. */
            without: number;
        };
        MathElement: {
            /** @enum {string} */
            is: "math" | "mfrac" | "mi" | "mmultiscripts" | "mn" | "mo" | "mover" | "mpadded" | "mphantom" | "mprescripts" | "mroot" | "mrow" | "ms" | "mspace" | "msqrt" | "mstyle" | "msub" | "msubsup" | "msup" | "mtable" | "mtd" | "mtext" | "mtr" | "munder" | "munderover";
            with?: Record<string, never>;
            holds: (components["schemas"]["MathElement"] | string)[];
        };
        MediaId: string;
        MediaUsage: {
            /** @description Bytes. */
            used: number;
            quota: number;
            /** @description Unused files: their number and their bytes. */
            unused: {
                files: number;
                bytes: number;
            };
        };
        /** @enum {string} */
        MediumKind: "film" | "font" | "picture" | "sound";
        MediumRow: {
            name: string;
            hash: string;
            kind: components["schemas"]["MediumKind"];
            type: components["schemas"]["MediumType"];
            /** @description Bytes in the learner's page. */
            weight: number;
            /** @description Of pictures, in pixels; null of others. */
            width: null | number;
            height: null | number;
        };
        /**
         * @description The accepted media types.
         * @enum {string}
         */
        MediumType: "audio/mpeg" | "audio/ogg" | "audio/wav" | "font/woff2" | "image/gif" | "image/jpeg" | "image/png" | "image/svg+xml" | "image/webp" | "video/mp4" | "video/webm";
        /** @description What was asked for. */
        MorningMail: {
            address: string;
            /** @description Whoever reads mail at the address has said that it is theirs: nothing else is sent there before. */
            isConfirmed: boolean;
            days: components["schemas"]["MailDays"];
            hour: number;
            zone: string;
            /** Format: date-time */
            nextAt: string;
            sentAt: string | null;
            /** @description When it could last not be sent; null: it could. */
            failedAt: string | null;
        };
        MorningMailView: {
            /** @description Null: it is off. */
            mail: components["schemas"]["MorningMail"] | null;
            /** @description Mail leaves by SMTP; else it is stored as files. */
            leaves: boolean;
        };
        /** @description What a learner does. Everything about an attempt follows from its moves, in order. A typed answer is a put. */
        Move: ({
            /** @enum {string} */
            kind: "drop" | "put";
        } & components["schemas"]["Drop"]) | ({
            /** @enum {string} */
            kind: "drop" | "put";
        } & components["schemas"]["Put"]) | ({
            /** @constant */
            kind: "put";
        } & components["schemas"]["TypedAnswer"]) | {
            /** @constant */
            kind: "reset";
        } | {
            /** @constant */
            kind: "check";
        } | {
            /** @constant */
            kind: "hint";
        };
        MovesAnswer: {
            last: number;
            board: components["schemas"]["BoardView"] | null;
            turnedAway: (components["schemas"]["NamedCopy"] & {
                zone: null | string;
                /** @enum {string} */
                why: "full" | "notWelcome";
            })[];
            passedOver: number;
            answered: components["schemas"]["FixtureAnswer"][];
            told: components["schemas"]["Told"] | null;
            tries: number;
            /** @description The mark that counts so far; null before the first try, and where the author does not show it. */
            best: components["schemas"]["Marked"] | null;
            ended: boolean;
            hints: components["schemas"]["Said"][];
            hintsLeft: number;
            /** @description As soon as the author lets it be seen; else null. */
            modelAnswer: components["schemas"]["BoardView"] | null;
            media: Record<string, never>;
        };
        NamedChange: {
            name: string;
            sittingId: string;
            learnerId: string;
            before: {
                points: number;
                outOf: number;
            };
            after: {
                points: number;
                outOf: number;
            };
        };
        /**
         * @description A copy in a learner's terms: the item's drawn name, and which copy of it. (By itself, so that a learner's page has
         *     nothing of what makes the views.)
         */
        NamedCopy: {
            item: string;
            copy: number;
        };
        /** @description A change that an import makes, with the line that asks for it; `line` null: nothing names it any more. */
        OneRosterChange: {
            file: string;
            line: null | number;
            sourcedId: string;
            /** @enum {string} */
            does: "change" | "enrol" | "make" | "takeOff";
            /** @description A sentence without a full stop. */
            words: string;
        };
        /** @description What does not go out of a course, or otherwise than the school’s system knows it. */
        OneRosterNotes: {
            /** @description The course came from no such system: it goes out under an id of ours. */
            ownId: boolean;
            /** @description Learners that no such system knows: their results do not go out. */
            leftOut: string[];
        };
        OneRosterPlan: {
            /** @description The system that the ids are of. */
            source: string;
            /** @description At most 2,000 of them. */
            changes: components["schemas"]["OneRosterChange"][];
            total: number;
            problems: components["schemas"]["OneRosterProblem"][];
        };
        OneRosterProblem: {
            file: string;
            /** @description The header is line 1; null: the whole file. */
            line: null | number;
            column: null | string;
            message: string;
        };
        OneRosterTaken: {
            source: string;
            /** @description Courses that were made. */
            courses: {
                id: string;
                title: string;
            }[];
            /** @description Accounts that were made, with first passwords that are never shown again. An empty one: there is none yet. */
            made: {
                name: string;
                username: string;
                password: string;
                /** @enum {string} */
                role: "learner" | "teacher";
            }[];
            enrolled: number;
            takenOff: number;
            /** @description Problems that were left out. */
            problems: components["schemas"]["OneRosterProblem"][];
        };
        /**
         * @description An opened release: a question to answer (or, in a finished attempt, to view), the summary, or what comes before the
         *     start.
         */
        Opened: {
            open: components["schemas"]["SittingView"];
            finished: null;
            before: null;
        } | {
            open: null;
            finished: components["schemas"]["Finished"];
            before: null;
        } | {
            open: null;
            finished: null;
            before: components["schemas"]["Before"];
        };
        /** @description What was picked of what stays in its place. */
        OptionAnswers: {
            options: {
                item: number;
                right: boolean;
                /** @description So many picked it at some time, and had it picked at last. */
                ever: number;
                last: number;
            }[];
            /** @description What was picked together at last; those that most had first. */
            combinations: {
                right: boolean;
                learners: number;
                items: number[];
            }[];
        };
        /** @description How an order was made: how many had each item in each place. */
        OrderAnswers: {
            zone: number;
            /** @description So many of the items are of the key. */
            keyed: number;
            /** @description By row and place, from the first place on. */
            first: number[][];
            last: number[][];
            /**
             * @description Pairs that stood next to each other at last, the later of the key before the earlier, with how many had them so:
             *     the most frequent first.
             */
            swaps: {
                earlier: number;
                later: number;
                learners: number;
            }[];
            /** @description The items of the rows: those of the key in its order, then others that were put there. */
            items: number[];
        };
        /** @description The marks of an outcome: what was earned of what could be, over questions that have it or one below it. */
        OutcomeMarks: {
            id: string;
            code: string;
            words: string;
            parentId: null | string;
            withdrawn: boolean;
            /** @description The share of the marks, from 0 to 1, with its interval at 95 %; null: nothing was answered. */
            share: {
                value: number;
                low: number;
                high: number;
            } | null;
            /** @description How many answers it rests on. */
            answers: number;
            /** @description Different questions. */
            questions: number;
        };
        OutcomeRow: {
            id: string;
            code: string;
            words: string;
            /** @description Null: it stands at the top. */
            parentId: null | string;
            /** @description What it came in with does not have it any more. */
            withdrawn: boolean;
            /** @description How many questions that the teacher sees have it. */
            questions: number;
        };
        /** @description What taking outcomes would change, or has changed. */
        OutcomesPlan: {
            /** @description Null: it is new, and not taken. */
            frameworkId: null | string;
            title: string;
            added: number;
            changed: number;
            /** @description Gone from what comes in: kept as withdrawn because questions have them, or removed. */
            withdrawn: number;
            removed: number;
            /** @description What is kept otherwise than it was said. */
            notes: string[];
            /** @description With problems nothing is taken. */
            problems: {
                where: string;
                message: string;
            }[];
            taken: boolean;
        };
        /** @description How often an item was put into a zone; `zone` −1: nowhere. Indexes of the question's items and zones. */
        Pair: {
            item: number;
            /** @description A zone by its index, or {@link NOWHERE}. */
            zone: number;
            first: number;
            last: number;
            /** @description By the key; null: the zone is neutral, or only what else lies there decides. */
            right: null | boolean;
        };
        /** @description The learner's place in a set. */
        Place: {
            /** @description From 0. */
            at: number;
            count: number;
            goBack: boolean;
            reached: number;
            tried: number[];
            ended: number[];
            /** @description The title of its section; empty: none. */
            section: string;
            /** @description The question does not count any more. */
            struck: boolean;
            /** @description Deferred feedback: there is no Check button. */
            deferred: boolean;
            /** @description The attempt has ended and can only be viewed. */
            finished: boolean;
        };
        /** @description The effect of a line: make an account, enrol an existing one, invite, or nothing. */
        PlannedLine: {
            /** @description From 1, as an editor counts lines. */
            line: number;
            name: string;
            /** @description Empty: they have none, and come by a platform. */
            username: string;
            groups: string[];
            /**
             * @description `invite`: the teacher shares no course with the person, who is invited.
             * @enum {string}
             */
            will: "invite" | "join" | "make" | "stay";
            /** @description The account's name, if the list has another and the teacher knows the person. */
            knownAs: null | string;
        };
        PlatformView: {
            id: string;
            name: string;
            issuer: string;
            clientId: string;
            deployments: string[];
            authUrl: string;
            tokenUrl: string;
            jwksUrl: string;
        };
        PlatformsPage: {
            platforms: components["schemas"]["PlatformView"][];
            tool: components["schemas"]["ToolAddresses"];
        };
        /** @description An item put into a zone by name; zone null: home. */
        Put: {
            item: string;
            copy?: number;
            zone: null | string;
            at?: number;
        };
        QuestionAnalysis: {
            title: string;
            struck: boolean;
            document: components["schemas"]["question.schema"];
            points: number;
            /** @description The learners who were asked it: who is still under way only if they have answered it. Of those, who answered. */
            asked: number;
            answered: number;
            /** @description How many had the full mark. */
            full: number;
            /** @description The mean share of its marks. */
            facility: components["schemas"]["Figure"] | null;
            /** @description The full marks as a share of those who were asked. */
            fullShare: components["schemas"]["Figure"] | null;
            discrimination: components["schemas"]["Figure"] | null;
            /** @description The reliability of the total if the question were left out. */
            alphaWithout: null | number;
            /** @description The correlation of the time taken with the share of its marks. */
            timeAndMark: components["schemas"]["Figure"] | null;
            tries: null | number;
            turnedAway: number;
            seconds: null | number;
            /** @description The median time one item took to be put somewhere, in seconds. */
            pace: null | number;
            answers: components["schemas"]["Answers"];
            fifths: components["schemas"]["Fifths"] | null;
            /** @description The places where items were dropped: item, x, y. */
            drops: [
                number,
                number,
                number
            ][];
        };
        /** @description Figures of a question by which a correction is judged. */
        QuestionFigures: {
            /** @description How many had the full mark. */
            full: number;
            /** @description The learners who were asked it: who is still under way only if they have answered it. Of those, who answered. */
            asked: number;
            /** @description The full marks as a share of those who were asked. */
            fullShare: components["schemas"]["Figure"] | null;
            /** @description The mean share of its marks. */
            facility: components["schemas"]["Figure"] | null;
            discrimination: components["schemas"]["Figure"] | null;
            /** @description The reliability of the total if the question were left out. */
            alphaWithout: null | number;
        };
        QuestionsDressed: {
            questions: components["schemas"]["ChangedQuestion"][];
        };
        /**
         * @description How the mark that counts came about, in a learner's terms: null where the author does not show marks, or nothing was
         *     tried.
         */
        Reckoning: {
            /** @description The try that counts, from 1. */
            number: number;
            lines: ({
                /** @enum {string} */
                code: "allOfIt" | "earlierTries" | "extra" | "heldToRange" | "misplaced" | "placements" | "rounded" | "zone";
                count: number;
                /** @description Of an either entry: its index. */
                either?: number;
                amount: number;
            } & {
                zone: components["schemas"]["ZoneWords"] | null;
            })[];
            mark: number;
            max: number;
        };
        /** @description The record store of the installation; its secret is never shown. */
        RecordStore: {
            address: string;
            key: string;
            /** @description Learners' names go along. */
            names: boolean;
            /**
             * Format: date-time
             * @description What came about earlier is not sent.
             */
            since: string;
        };
        RecordStoreView: {
            /** @description Null: statements are sent nowhere. */
            store: components["schemas"]["RecordStore"] | null;
            /** @description How many learners' work at releases waits to be sent, could not be, and has arrived. */
            waiting: number;
            failed: number;
            arrived: number;
            /** @description Why something waits or has failed, the latest; empty: nothing does. */
            reason: string;
        };
        /** @description The learners and groups of a release that is not for the whole course. */
        ReleaseAudience: {
            groups: string[];
            learners: string[];
        };
        ReleaseRow: {
            id: string;
            title: string;
            unitId: null | string;
            opensAt: string | null;
            dueAt: string | null;
            closesAt: string | null;
            practice: boolean;
            /** Format: date-time */
            createdAt: string;
            /** @description Null: it is not withdrawn. */
            withdrawnAt: string | null;
            edition: number;
            /** @description For how many learners it is, how many of them have started it, and how many have finished it. */
            learners: number;
            sat: number;
            finished: number;
        };
        /** @description The settings of a release. */
        ReleaseSettings: {
            title?: string;
            unitId: null | string;
            opensAt: string | null;
            dueAt: string | null;
            closesAt: string | null;
            minutes: null | number;
            sittings: null | number;
            counts: components["schemas"]["Counts"];
            practice: boolean;
            categoryId: null | string;
            /** @description The share of the points that passes, in per cent; null: nothing is said of passing. */
            passMark: null | number;
            feedbackLevel: components["schemas"]["FeedbackLevel"];
            feedbackTime: components["schemas"]["FeedbackTime"];
            /** @description Null: the whole course. */
            audience: components["schemas"]["ReleaseAudience"] | null;
        };
        /** @description The effects of removing a unit, a weight category or a group. */
        RemovalEffects: {
            /** @description The releases that refer to it. */
            releases: {
                id: string;
                title: string;
            }[];
            /** @description For a group: the number of its learners, and the releases that are for it alone and would be for nobody. */
            learners: number;
            forNobody: string[];
            /** @description The overall marks that would change, from 0 to 1; null: none. */
            marks: {
                learnerId: string;
                name: string;
                before: null | number;
                after: null | number;
            }[];
        };
        /** @description A place where the words stand: what they stood in, and what it comes to. */
        Replaced: {
            before: string;
            after: string;
        };
        Replacement: {
            count: number;
            /** @description Some of the places. */
            places: components["schemas"]["Replaced"][];
            id: string;
            title: string;
            /** @description The revision it came to; null: it was not changed. */
            revision: null | number;
            refused: null | string;
        };
        /** @description A weight category with what was earned in it. */
        ReportCategory: {
            title: string;
            weight: number;
            points: number;
            outOf: number;
        };
        /** @description A question as the learner had it, the answer that earned the mark, and the model answer if the author shows one. */
        ReportDrawing: {
            document: components["schemas"]["question.schema"];
            /** @description Where each item was at the start for this learner, by its index: scene units. */
            homes: {
                x: number;
                y: number;
            }[];
            answer: components["schemas"]["SavedBoard"];
            model: components["schemas"]["SavedBoard"] | null;
            media: Record<string, never>;
            /** @description Zones that learners do not know of are not drawn. */
            hides: boolean;
        };
        /** @description What was put where in the try whose mark counts, its verdict, and its feedback. What was typed stands as it was. */
        ReportLine: {
            item: string;
            /** @description Null: the learner does not know of the zone. */
            zone: null | string;
            verdict: components["schemas"]["Verdict"];
            said: string;
        };
        /** @description The share of an outcome's marks, from 0 to 1, with its interval at 95 %. */
        ReportOutcome: {
            code: string;
            words: string;
            /** @description 0 at the top. */
            depth: number;
            value: number;
            low: number;
            high: number;
            answers: number;
        };
        ReportQuestion: {
            title: string;
            /** @description It counts for nobody. */
            struck: boolean;
            points: number;
            /** @description Null: its author shows no marks to the learner. */
            earned: null | number;
            tries: number;
            lines: components["schemas"]["ReportLine"][];
            said: string;
            /** @description What there is to draw; null: it was not answered. */
            drawn: components["schemas"]["ReportDrawing"] | null;
        };
        ReportRelease: {
            title: string;
            practice: boolean;
            /** @description False: the learner is not told yet what it came to. There is no mark then, and no question. */
            told: boolean;
            mark: null | number;
            outOf: number;
            byHand: null | string;
            state: components["schemas"]["CellState"];
            late: boolean;
            finishedAt: string | null;
            /** @description True if the question has ended. */
            ended: boolean;
            sittings: number;
            /** @description Of the attempt that counts. */
            questions: components["schemas"]["ReportQuestion"][];
        };
        ResultRow: {
            learnerId: string;
            name: string;
            username: null | string;
            /** @description The mark that counts: of an attempt, or set by hand. Null while nothing has been checked. */
            mark: null | number;
            max: null | number;
            /** @description The attempt that counts; null: none. */
            attempt: null | string;
            byHand: boolean;
            tries: number;
            /** @enum {string} */
            state: "checked" | "ended" | "notStarted" | "started";
            /** @description Finished after it was due. */
            late: boolean;
            /** @description The time from the first to the last move of the last attempt, in seconds; null before the first. */
            seconds: null | number;
            /** @description The learner's attempts, the first one first. */
            sittings: {
                id: string;
                number: number;
                mark: number;
                max: number;
                onPaper: boolean;
            }[];
        };
        ResultsView: {
            release: {
                id: string;
                title: string;
                course: string;
                courseId: string;
                edition: number;
                /** Format: date-time */
                createdAt: string;
            };
            rows: components["schemas"]["ResultRow"][];
            /** @description How many learners there are, how many of them have begun, and which of them is the first here. */
            total: number;
            begun: number;
            from: number;
        };
        RetraceView: {
            release: {
                id: string;
                title: string;
                course: string;
                courseId: string;
            };
            learner: string;
            number: number;
            /** @description Written on paper and typed in: the variant of the sheet, from 1; null: on its page. */
            paper: null | number;
            /** @description True if it has ended and can be reopened; with a time limit, minutes have to be given. */
            finished: boolean;
            minutes: null | number;
            questions: {
                document: components["schemas"]["question.schema"];
                /** @description Where each item was at the start for this learner, by its index: scene units. */
                homes: {
                    x: number;
                    y: number;
                }[];
                points: number;
                moves: {
                    move: components["schemas"]["Move"];
                    at: number;
                }[];
            }[];
        };
        /** @enum {string} */
        Right: "edit" | "see" | "use";
        /** @description Somebody who may be called up. */
        RosterName: {
            id: string;
            name: string;
            /** @description The title of the first of their groups; null: they are in none. */
            group: null | string;
        };
        RosterPage: {
            rows: components["schemas"]["LearnerRow"][];
            total: number;
            from: number;
        };
        RosterPlan: {
            lines: components["schemas"]["PlannedLine"][];
            problems: {
                line: number;
                message: string;
            }[];
            /** @description New groups. */
            newGroups: string[];
            /** @description Enrolled learners who are not in the list. */
            others: {
                id: string;
                name: string;
                username: null | string;
            }[];
        };
        RosterTaken: {
            /** @description With first passwords; who comes by a platform has neither user name nor password. */
            made: {
                name: string;
                username: string;
                password: string;
            }[];
            joined: number;
            /** @description The people who are invited. */
            invited: number;
            removed: number;
        };
        /** @description Words of the author's, with the drawn names of a picture and a sound. */
        Said: {
            text: {
                blocks: ({
                    /** @enum {string} */
                    dir?: "ltr" | "rtl";
                    /** @constant */
                    type: "paragraph";
                    runs: {
                        text?: string;
                        em?: boolean;
                        slot?: components["schemas"]["ZoneId"];
                        strong?: boolean;
                        mono?: boolean;
                        /** @enum {string} */
                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                        lang?: string;
                        formula: {
                            math: components["schemas"]["MathElement"];
                            tex: string;
                        };
                    }[];
                } | {
                    /** @enum {string} */
                    dir?: "ltr" | "rtl";
                    ordered: boolean;
                    entries: {
                        text?: string;
                        em?: boolean;
                        slot?: components["schemas"]["ZoneId"];
                        strong?: boolean;
                        mono?: boolean;
                        /** @enum {string} */
                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                        lang?: string;
                        formula: {
                            math: components["schemas"]["MathElement"];
                            tex: string;
                        };
                    }[][];
                    /** @constant */
                    type: "list";
                })[];
            } | null;
            picture: null | string;
            sound: null | string;
        };
        /** @description An arrangement as JSON. */
        SavedBoard: {
            zones: components["schemas"]["Copy"][][];
            settledAt: [
                components["schemas"]["Copy"],
                number
            ][];
            letGo: [
                components["schemas"]["Copy"],
                number,
                number
            ][];
            texts: [
                number,
                string
            ][];
            clock: number;
        };
        SecurityRow: {
            /** Format: date-time */
            at: string;
            what: components["schemas"]["SecurityWhat"];
            address: null | string;
        };
        /** @enum {string} */
        SecurityWhat: "accountLocked" | "accountMade" | "accountsJoined" | "adminGiven" | "adminTaken" | "installationChanged" | "keyTurned" | "launchRefused" | "oneRosterTaken" | "passwordChanged" | "passwordReset" | "platformAdded" | "platformRemoved" | "recordStoreNamed" | "recordStoreRemoved" | "rightRefused" | "secondFactorOff" | "secondFactorOn" | "signInRefused" | "signedIn" | "signedOutEverywhere" | "tokenMade" | "tokenTakenBack";
        /** @description How a mark's way to a platform stands; null: it has arrived, or none is sent. */
        Sending: {
            state: components["schemas"]["Exclude"];
            /** @description Why it has not arrived yet, as a sentence; empty: it was not tried. */
            reason: string;
            tries: number;
            /**
             * Format: date-time
             * @description When the mark came about.
             */
            at: string;
        } | null;
        SessionRow: {
            id: string;
            /** Format: date-time */
            since: string;
            /** Format: date-time */
            seen: string;
            address: null | string;
            browser: null | string;
            /** @description It is the session of the request. */
            here: boolean;
        };
        /** @description `max`: the most its own marks come to. `seconds`: about how long it takes. */
        SetQuestion: {
            title: string;
            kind: components["schemas"]["Kind"];
            max: number;
            seconds: number;
            id: string;
            points: null | number;
        };
        /** @description `seconds`: about how long a sitting takes. `releases`: how many were published from it. */
        SetRow: {
            id: string;
            title: string;
            questions: number;
            points: number;
            seconds: number;
            releases: number;
            /** Format: date-time */
            changedAt: string;
            /** @description Null: it is not deleted. */
            deletedAt: string | null;
        };
        SetSource: components["schemas"]["SourceContent"] & {
            id: string;
            questions: string[];
        };
        /** @description A release that was published from a set. */
        SetUse: {
            id: string;
            title: string;
            course: string;
            /** Format: date-time */
            at: string;
        };
        SetView: {
            id: string;
            title: string;
            goBack: boolean;
            aids: ("calculator" | "readAloud")[];
            sections: {
                title: string;
                draw: components["schemas"]["Draw"] | null;
                shuffled?: boolean;
                questions: components["schemas"]["SetQuestion"][];
            }[];
            sources: components["schemas"]["SetSource"][];
            /** @description The releases that were published from it, the latest first. */
            uses: components["schemas"]["SetUse"][];
            /** @description The number of questions that the teacher may not use any more: deleted, or not shared any more. */
            gone: number;
            /** @description The revision that a write has to name. */
            revision: number;
        };
        SettingsView: {
            settings: components["schemas"]["ReleaseSettings"] & {
                title: string;
            };
            courseId: string;
            /** @description Null: it is not withdrawn. */
            withdrawnAt: string | null;
            /** @description The revision that a write of the settings has to name. */
            revision: number;
            allowances: components["schemas"]["AllowanceRow"][];
        };
        SheetEntered: {
            points: number;
            outOf: number;
            /** @description Which of the learner's attempts it is, from 1. */
            number: number;
        };
        /** @description A learner to whom a sheet may belong, and what was typed in for them last. */
        SheetLearner: {
            learnerId: string;
            name: string;
            entered: {
                sittingId: string;
                variant: number;
                points: number;
            } | null;
        };
        SheetQuestion: {
            document: components["schemas"]["question.schema"];
            /** @description Where its items lie at the start, by index: scene units. */
            homes: {
                x: number;
                y: number;
            }[];
            /** @description By item index: its letter; by zone index: its number. Null: it is not on the sheet. */
            letters: (null | string)[];
            numbers: (null | number)[];
            points: number;
            /** @description It counts for nobody, and need not be typed in. */
            struck: boolean;
            /** @description The title of the section that it begins; null: it stands in the one before it. */
            begins: null | string;
        };
        SheetView: {
            release: {
                id: string;
                title: string;
                course: string;
                courseId: string;
            };
            variant: number;
            questions: components["schemas"]["SheetQuestion"][];
            sources: ({
                text: string;
                title: string;
                medium: {
                    hash: string;
                    kind: components["schemas"]["SourceKind"];
                    description: string;
                } | null;
            } & {
                before: number;
            })[];
        };
        ShelfRow: {
            id: string;
            title: string;
            /** @description Null: at the top, or the shelf it stands on is not shared. */
            parentId: null | string;
            access: components["schemas"]["Access"];
            owner: string;
            questions: number;
            /** @description The colleagues it is shared with. */
            shares: {
                username: string;
                name: string;
                right: components["schemas"]["Right"];
            }[];
        };
        SittingView: {
            id: string;
            release: string;
            course: string;
            courseLang: null | string;
            appearance: components["schemas"]["Appearance"];
            /** @description The number of the last move the server has. */
            last: number;
            place: components["schemas"]["Place"];
            /** @description What stands beside the question. */
            sources: components["schemas"]["SourceView"][];
            /** @description The end of the attempt, and the seconds until then by the server's clock; null: no limit. */
            ends: {
                at: string;
                seconds: number;
            } | null;
            question: components["schemas"]["LearnerQuestion"];
            board: components["schemas"]["BoardView"];
            answered: components["schemas"]["FixtureAnswer"][];
            told: components["schemas"]["Told"] | null;
            tries: number;
            /** @description The mark that counts so far; null before the first try, and where the author does not show it. */
            best: components["schemas"]["Marked"] | null;
            ended: boolean;
            hints: components["schemas"]["Said"][];
            hintsLeft: number;
            /** @description As soon as the author lets it be seen; else null. */
            modelAnswer: components["schemas"]["BoardView"] | null;
            media: Record<string, never>;
        };
        /** @description Material that stands beside questions of a set. `captions`: WebVTT, of a film or a sound. */
        SourceContent: {
            title: string;
            text: string;
            medium: {
                hash: string;
                kind: components["schemas"]["SourceKind"];
                description: string;
            } | null;
            captions: string;
            /** @description For a film at another address. */
            address?: string;
        };
        /** @enum {string} */
        SourceKind: "film" | "picture" | "sound";
        /** @description A source in a learner's terms; its medium and captions are asked for by its number. */
        SourceView: {
            n: number;
            title: string;
            text: {
                blocks: ({
                    /** @enum {string} */
                    dir?: "ltr" | "rtl";
                    /** @constant */
                    type: "paragraph";
                    runs: {
                        text?: string;
                        em?: boolean;
                        slot?: components["schemas"]["ZoneId"];
                        strong?: boolean;
                        mono?: boolean;
                        /** @enum {string} */
                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                        lang?: string;
                        formula: {
                            math: components["schemas"]["MathElement"];
                            tex: string;
                        };
                    }[];
                } | {
                    /** @enum {string} */
                    dir?: "ltr" | "rtl";
                    ordered: boolean;
                    entries: {
                        text?: string;
                        em?: boolean;
                        slot?: components["schemas"]["ZoneId"];
                        strong?: boolean;
                        mono?: boolean;
                        /** @enum {string} */
                        colour?: "brass" | "brick" | "ink" | "mute" | "verdigris";
                        lang?: string;
                        formula: {
                            math: components["schemas"]["MathElement"];
                            tex: string;
                        };
                    }[][];
                    /** @constant */
                    type: "list";
                })[];
            } | null;
            medium: {
                kind: components["schemas"]["MediumKind"];
                description: string;
            } | null;
            captioned: boolean;
            /** @description For a film at another address. */
            address: null | string;
        };
        StoredMedium: {
            hash: string;
            kind: components["schemas"]["MediumKind"];
            type: components["schemas"]["MediumType"];
            /** @description Bytes in the learner's page. */
            weight: number;
            /** @description Of pictures, in pixels; null of others. */
            width: null | number;
            height: null | number;
        };
        StoredQuestion: {
            question: components["schemas"]["question.schema"];
            access: components["schemas"]["Access"];
            revision: number;
            /** Format: date-time */
            changedAt: string;
        };
        /** @description An attempt in which nothing has moved for a while. */
        StuckRow: {
            sittingId: string;
            name: string;
            /** @description The place of the question in the attempt, from 1. */
            place: number;
            /** Format: date-time */
            since: string;
            releaseId: string;
            title: string;
            course: string;
        };
        /** @description The summary of a finished attempt, as far as the author shows it. */
        Summary: {
            id: string;
            /** Format: date-time */
            finishedAt: string;
            questions: {
                title: string;
                /** @description It does not count any more. */
                struck: boolean;
                tries: number;
                fullMarks: null | boolean;
                /** @description True if the learner reached it. */
                seen: boolean;
                /** @description Its points, and the points earned; null: not shown. */
                points: number;
                earned: null | number;
                reckoning: components["schemas"]["Reckoning"] | null;
            }[];
            /** @description Null if not all marks are shown. */
            total: {
                mark: number;
                max: number;
            } | null;
            /** @description Null: nothing was corrected, or the marks are not shown. */
            corrected: components["schemas"]["Corrected"] | null;
            /** @description True if the answers can be viewed again, with their feedback. */
            review: boolean;
        };
        TeacherRow: {
            id: string;
            name: string;
            username: null | string;
        };
        TodayView: {
            /**
             * Format: date-time
             * @description When it was looked up.
             */
            at: string;
            /**
             * Format: date-time
             * @description Since when there may be news.
             */
            since: string;
            due: components["schemas"]["DueRow"][];
            ended: components["schemas"]["EndedRow"][];
            stuck: components["schemas"]["StuckRow"][];
            tried: components["schemas"]["TriedRow"][];
            drafts: components["schemas"]["DraftRow"][];
            /** @description The teacher has no question yet. */
            isNew: boolean;
        };
        /** @description Attempts at one question, to be played back together, some at a time. */
        TogetherView: {
            release: {
                id: string;
                title: string;
                course: string;
                courseId: string;
            };
            /** @description The questions of the edition that counts now; the index of this one. */
            titles: string[];
            question: number;
            document: components["schemas"]["question.schema"];
            attempts: {
                sittingId: string;
                learner: string;
                number: number;
                /** @description The question as this attempt was given it; null: as all others were. */
                document: components["schemas"]["question.schema"] | null;
                homes: {
                    x: number;
                    y: number;
                }[];
                moves: {
                    move: components["schemas"]["Move"];
                    at: number;
                }[];
            }[];
            /** @description How many attempts have come to the question, and which of them is the first here. */
            total: number;
            from: number;
        };
        /** @description A token as it is made. It is not told again. */
        TokenMade: {
            token: string;
            id: string;
            name: string;
            scopes: ("author" | "publish" | "read" | "results")[];
            /** Format: date-time */
            madeAt: string;
            /** Format: date-time */
            expiresAt: string;
            /** @description To the minute; null: it was never used. */
            usedAt: string | null;
        };
        TokenRow: {
            id: string;
            name: string;
            scopes: ("author" | "publish" | "read" | "results")[];
            /** Format: date-time */
            madeAt: string;
            /** Format: date-time */
            expiresAt: string;
            /** @description To the minute; null: it was never used. */
            usedAt: string | null;
        };
        /** @description What a learner is told of the board as it stands. `try` null: a landing was judged that ended none. */
        Told: {
            verdicts: (components["schemas"]["NamedCopy"] & {
                verdict: components["schemas"]["Verdict"];
            })[];
            /** @description How what was typed into a zone was judged; `spelling`: how it is spelled, where it counted with a slip. */
            typed: {
                zone: string;
                verdict: components["schemas"]["Verdict"];
                spelling?: string;
            }[];
            /**
             * @description What is said of a zone as a whole, or of what was typed into it (`of` null), and of a copy in it. `zone` null: it
             *     is hidden.
             */
            says: {
                zone: null | string;
                of: components["schemas"]["NamedCopy"] | null;
                said: components["schemas"]["Said"];
            }[];
            goingHome: components["schemas"]["NamedCopy"][];
            /** @description Zones whose text goes when the learner goes on. */
            goingEmpty: string[];
            try: components["schemas"]["TryView"] | null;
        };
        /** @description What a platform has to be told of us. */
        ToolAddresses: {
            loginUrl: string;
            launchUrl: string;
            jwksUrl: string;
        };
        TrialAndError: {
            sittingId: string;
            name: string;
            question: number;
            swept: {
                item: number;
                zones: number[];
            }[];
        };
        /** @description An attempt in which everything was tried, by the rule of the results. */
        TriedRow: {
            sittingId: string;
            name: string;
            question: string;
            releaseId: string;
            title: string;
            course: string;
        };
        TryView: {
            /** @description From 1. */
            number: number;
            fullMarks: boolean;
            /** @description Null where the author does not show it. */
            mark: components["schemas"]["Marked"] | null;
            /** @description What the author says of such an answer. */
            words: components["schemas"]["Said"] | null;
            zones: {
                zone: string;
                satisfied: boolean;
            }[];
        };
        /**
         * @description A text typed into a zone: read as an item, it replaces what the zone held; a text of nothing but white space empties
         *     it.
         */
        TypedAnswer: {
            zone: string;
            text: string;
        };
        /** @description What was typed into a gap, by what it was read as. */
        TypedAnswers: {
            zone: number;
            /** @description Those that most typed first. */
            groups: {
                /** @description Null: none of what is accepted. */
                item: null | number;
                right: boolean;
                learners: number;
                /** @description As they were typed, those that most typed first. */
                texts: {
                    text: string;
                    learners: number;
                }[];
            }[];
        };
        UnitRow: {
            id: string;
            title: string;
        };
        Uses: {
            sets: {
                id: string;
                title: string;
                by: string;
                mine: boolean;
            }[];
            releases: {
                id: string;
                title: string;
                course: string;
                by: string;
                mine: boolean;
            }[];
        };
        VaultPage: {
            rows: components["schemas"]["VaultRow"][];
            /** @description Of all pages. */
            total: number;
            from: number;
        };
        VaultRow: {
            id: string;
            title: string;
            kind: components["schemas"]["Kind"];
            /** @description Its maximum mark. */
            max: number;
            /** @description About how long it takes. */
            seconds: number;
            /** Format: date-time */
            changedAt: string;
            findings: components["schemas"]["FindingCounts"];
            startingPoint: boolean;
            shelfId: null | string;
            tags: string[];
            access: components["schemas"]["Access"];
            owner: string;
        };
        /** @enum {string} */
        Verdict: "none" | "right" | "wrong";
        /** @description A version: the question as it was when its author paused. */
        VersionRow: {
            revision: number;
            /** Format: date-time */
            at: string;
            by: string;
            /** @description The number of changes since the version before. */
            changes: number;
            name: null | string;
        };
        /** @description A set with its questions whole. */
        WholeSet: {
            title: string;
            goBack: boolean;
            aids: ("calculator" | "readAloud")[];
            questions: components["schemas"]["question.schema"][];
            points: number[];
            sections: components["schemas"]["EditionSection"][];
            sources: (components["schemas"]["SourceContent"] & {
                questions: number[];
            })[];
        };
        /** @description The picture that belongs to a word of a stock list. */
        WordPicture: {
            word: string;
            hash: string;
            description: string;
            weight: number;
        };
        WordsReplaced: {
            questions: components["schemas"]["Replacement"][];
        };
        ZoneId: string;
        /** @description What a zone is named by: its label, its place among the zones, from 1, and where it stands. */
        ZoneWords: {
            label: string;
            n: number;
            /** @description Null: it is a slot, rides, or is hidden. */
            where: ("bottom" | "bottomLeft" | "bottomRight" | "left" | "middle" | "right" | "top" | "topLeft" | "topRight") | null;
        };
        Failed: {
            /** @constant */
            ok: false;
            error: {
                /**
                 * @description badRequest (400): That request could not be read. notSignedIn (401): You are not signed in. notAllowed (403): You cannot open this. crossSite (403): This came from another site. notFound (404): There is nothing here. questionMovedOn (409): This question was changed somewhere else meanwhile. changedMeanwhile (409): Somebody else changed this meanwhile. editionMovedOn (409): Somebody corrected this release meanwhile. sittingMovedOn (409): You continued this in another window. alreadyEnded (409): This question is finished. sittingFull (409): This attempt has as many moves as one may have. sittingFinished (409): This is finished. releaseClosed (403): This release is closed. checkFirst (409): This question has to be checked first. nameTaken (409): This name is taken. lengthNeeded (411): The size of that request is not known. tooLarge (413): That is too large. invalid (422): Some of this cannot be saved. notTaken (422): This file cannot be used. notReached (502): The platform could not be asked. notReady (422): This question cannot be published yet. wrongPassword (422): That is not your present password. tooMany (429): Too many tries. busy (503): Too much is being worked on at once. unexpected (500): Something went wrong here. unavailable (503): Nothing can be stored at the moment
                 * @enum {unknown}
                 */
                code: "badRequest" | "notSignedIn" | "notAllowed" | "crossSite" | "notFound" | "questionMovedOn" | "changedMeanwhile" | "editionMovedOn" | "sittingMovedOn" | "alreadyEnded" | "sittingFull" | "sittingFinished" | "releaseClosed" | "checkFirst" | "nameTaken" | "lengthNeeded" | "tooLarge" | "invalid" | "notTaken" | "notReached" | "notReady" | "wrongPassword" | "tooMany" | "busy" | "unexpected" | "unavailable";
                message: string;
                /** @description What to do about it. */
                nextStep: string;
                /** @description Each with the place in what was sent. */
                problems?: {
                    path: string;
                    message: string;
                }[];
                /** @description What the client needs to continue, such as the other version. */
                detail?: unknown;
            };
        };
        /** @description A name: 1 to 100 characters, none of them a control character. */
        id: string;
        mathAttributes: {
            accent?: string;
            accentunder?: string;
            columnalign?: string;
            columnspan?: string;
            depth?: string;
            display?: string;
            displaystyle?: string;
            fence?: string;
            form?: string;
            height?: string;
            largeop?: string;
            linethickness?: string;
            lspace?: string;
            mathvariant?: string;
            maxsize?: string;
            minsize?: string;
            movablelimits?: string;
            rowspan?: string;
            rspace?: string;
            scriptlevel?: string;
            separator?: string;
            stretchy?: string;
            symmetric?: string;
            voffset?: string;
            width?: string;
        };
        mathHolds: (string | components["schemas"]["mathElement"])[];
        /** @description An element of MathML Core. */
        mathElement: {
            /** @enum {unknown} */
            is: "mrow" | "mi" | "mn" | "mo" | "mtext" | "ms" | "mspace" | "mfrac" | "msqrt" | "mroot" | "msub" | "msup" | "msubsup" | "munder" | "mover" | "munderover" | "mmultiscripts" | "mprescripts" | "mtable" | "mtr" | "mtd" | "mpadded" | "mphantom" | "mstyle";
            with?: components["schemas"]["mathAttributes"];
            holds: components["schemas"]["mathHolds"];
        };
        /** @description A formula: the TeX it is typed as, and the MathML it is drawn as. */
        formula: {
            tex: string;
            math: {
                /** @constant */
                is: "math";
                with?: components["schemas"]["mathAttributes"];
                holds: components["schemas"]["mathHolds"];
            };
        };
        /** @description Characters with a few switches, or a slot. */
        run: {
            text?: string;
            /** @description The zone that stands here, laid out by the page. In a text fixture alone. */
            slot?: components["schemas"]["id"];
            strong?: boolean;
            em?: boolean;
            /** @description In a font whose characters are equally wide, with white space as it is: code. */
            mono?: boolean;
            /** @enum {unknown} */
            colour?: "ink" | "mute" | "brass" | "verdigris" | "brick";
            lang?: string;
            /** @description Drawn instead of the text, which is how it is spoken and found. */
            formula?: components["schemas"]["formula"];
        } & (unknown | unknown);
        /** @description Rich text: paragraphs and lists of runs. Nothing in it can hold markup. */
        rich: {
            /** @default [] */
            blocks: ({
                /** @constant */
                type: "paragraph";
                /** @enum {unknown} */
                dir?: "ltr" | "rtl";
                /** @default [] */
                runs: components["schemas"]["run"][];
            } | {
                /** @constant */
                type: "list";
                /** @default false */
                ordered: boolean;
                /** @enum {unknown} */
                dir?: "ltr" | "rtl";
                /** @default [] */
                entries: components["schemas"]["run"][][];
            })[];
        };
        /** @description A language tag as BCP 47 has them. */
        language: string;
        /** @description Something shown or said: words, a picture, a sound (both by their name in media), or several of them. */
        say: {
            /** @default null */
            text: components["schemas"]["rich"] | null;
            /** @default null */
            picture: components["schemas"]["id"] | null;
            /** @default null */
            sound: components["schemas"]["id"] | null;
        };
        /** @description Scene units; y grows downward. A slot is laid out by the page. */
        shape: {
            /** @constant */
            type: "rect";
            x: number;
            y: number;
            w: number;
            h: number;
        } | {
            /** @constant */
            type: "ellipse";
            cx: number;
            cy: number;
            rx: number;
            ry: number;
        } | {
            /** @constant */
            type: "polygon";
            points: number[][];
        } | {
            /** @constant */
            type: "slot";
        };
        /** @description How much of an item must be over a zone. share: the share of its area, more than 0 and at most 1. */
        reach: {
            /** @enum {unknown} */
            rule: "touch" | "centre" | "inside" | "pointer";
        } | {
            /** @constant */
            rule: "share";
            /** @default 0.5 */
            share: number;
        };
        /** @description Where an item comes to rest in a zone. */
        settle: {
            /** @enum {unknown} */
            rule: "asDropped" | "pile";
        } | {
            /** @constant */
            rule: "anchor";
            /**
             * @default middle
             * @enum {unknown}
             */
            at: "topLeft" | "top" | "topRight" | "left" | "middle" | "right" | "bottomLeft" | "bottom" | "bottomRight";
            /** @default 8 */
            gap: number;
        } | {
            /** @enum {unknown} */
            rule: "row" | "column" | "grid";
            /** @default 8 */
            gap: number;
        };
        /** @description How many of what belongs: min is at most max. */
        need: {
            /** @constant */
            rule: "all";
        } | {
            /** @enum {unknown} */
            rule: "exactly" | "atLeast";
            n: number;
        } | {
            /** @constant */
            rule: "between";
            min: number;
            max: number;
        };
        /** @description A token of the application, or six hexadecimal digits. */
        colour: string | ("ink" | "paper" | "sheet" | "rule" | "mute" | "brass" | "brassWash" | "verdigris" | "verdigrisWash" | "brick" | "brickWash");
        /** @description One state; what is left out is as at rest. */
        style: {
            fill?: components["schemas"]["colour"];
            edge?: components["schemas"]["colour"];
            text?: components["schemas"]["colour"];
            edgeWidth?: number;
            /** @enum {unknown} */
            edgeStyle?: "solid" | "dashed" | "dotted" | "none";
            fontSize?: number;
            /** @enum {unknown} */
            face?: "school" | "joined" | "steady" | "book" | "round" | "narrow" | "hand" | "code";
            ownFace?: components["schemas"]["id"];
            picture?: components["schemas"]["id"];
            sound?: components["schemas"]["id"];
            /** @enum {unknown} */
            motion?: "none" | "fade" | "shrink" | "spin" | "nudge";
        };
        /**
         * @description When it appears, disappears or shows something else; null: it is always there.
         * @default null
         */
        when: {
            events: {
                /** @enum {unknown} */
                on: "taking" | "full" | "holds" | "putAway" | "right" | "partly" | "wrong";
                zone?: components["schemas"]["id"];
                item?: components["schemas"]["id"];
                count?: number;
            }[];
            /** @enum {unknown} */
            does: "appears" | "disappears" | "shows";
            /** @default null */
            content: components["schemas"]["say"] | null;
            /**
             * @default next
             * @enum {unknown}
             */
            until: "next" | "reset";
        } | null;
        /** @description In what letters words are shown; null: as the page draws them. */
        letters: {
            /**
             * @default null
             * @enum {unknown}
             */
            face: "school" | "joined" | "steady" | "book" | "round" | "narrow" | "hand" | "code" | null;
            /**
             * @description A font of the author's, by its name in media, instead of a face.
             * @default null
             */
            ownFace: components["schemas"]["id"] | null;
            /**
             * @description Of an item's words, in scene units; titles and texts grow with it.
             * @default null
             */
            size: number | null;
        };
        /** @description What lies beneath everything: a colour, over it a picture that covers the scene and a texture, and a frame. */
        ground: {
            /** @default null */
            colour: components["schemas"]["colour"] | null;
            /**
             * @default null
             * @enum {unknown}
             */
            texture: "linen" | "squared" | "lined" | "dotted" | "wood" | "stone" | "leaves" | "weave" | null;
            /** @default null */
            picture: components["schemas"]["id"] | null;
            /**
             * @default null
             * @enum {unknown}
             */
            frame: "line" | "double" | "corners" | "stitched" | null;
        };
        dress: {
            /** @default null */
            ground: components["schemas"]["ground"] | null;
            /** @default null */
            letters: components["schemas"]["letters"] | null;
        };
        /** @description Something on the scene that learners cannot move. */
        fixture: {
            /** @constant */
            type: "text";
            id: components["schemas"]["id"];
            /** @default  */
            label: string;
            x: number;
            y: number;
            w: number;
            h: number;
            /** @default 0 */
            rotation: number;
            /**
             * @description Lies over the zones.
             * @default false
             */
            front: boolean;
            when?: components["schemas"]["when"];
            text: components["schemas"]["rich"];
            /** @default null */
            letters: components["schemas"]["letters"] | null;
        } | {
            /** @constant */
            type: "picture";
            id: components["schemas"]["id"];
            /** @default  */
            label: string;
            x: number;
            y: number;
            w: number;
            h: number;
            /** @default 0 */
            rotation: number;
            /**
             * @description Lies over the zones.
             * @default false
             */
            front: boolean;
            when?: components["schemas"]["when"];
            media: components["schemas"]["id"];
        } | {
            /** @constant */
            type: "shape";
            id: components["schemas"]["id"];
            /** @default  */
            label: string;
            x: number;
            y: number;
            w: number;
            h: number;
            /** @default 0 */
            rotation: number;
            /**
             * @description Lies over the zones.
             * @default false
             */
            front: boolean;
            when?: components["schemas"]["when"];
            shape: components["schemas"]["shape"];
            /** @default null */
            fill: components["schemas"]["colour"] | null;
            /** @default ink */
            edge: components["schemas"]["colour"] | null;
            /** @default 1 */
            edgeWidth: number;
        } | {
            /** @constant */
            type: "sound";
            id: components["schemas"]["id"];
            /** @default  */
            label: string;
            x: number;
            y: number;
            w: number;
            h: number;
            /** @default 0 */
            rotation: number;
            /**
             * @description Lies over the zones.
             * @default false
             */
            front: boolean;
            when?: components["schemas"]["when"];
            media: components["schemas"]["id"];
        } | {
            /** @constant */
            type: "film";
            id: components["schemas"]["id"];
            /** @default  */
            label: string;
            x: number;
            y: number;
            w: number;
            h: number;
            /** @default 0 */
            rotation: number;
            /**
             * @description Lies over the zones.
             * @default false
             */
            front: boolean;
            when?: components["schemas"]["when"];
            media: components["schemas"]["id"];
        };
        look: {
            /** @constant */
            of: "item";
            /** @default  */
            name: string;
            /**
             * @description Put away when taken.
             * @default false
             */
            putAway: boolean;
            /** @default {} */
            states: {
                rest?: components["schemas"]["style"];
                inHand?: components["schemas"]["style"];
                overZone?: components["schemas"]["style"];
                settled?: components["schemas"]["style"];
                waiting?: components["schemas"]["style"];
                turnedAway?: components["schemas"]["style"];
                right?: components["schemas"]["style"];
                wrong?: components["schemas"]["style"];
                putAway?: components["schemas"]["style"];
            };
        } | {
            /** @constant */
            of: "zone";
            /** @default  */
            name: string;
            /** @default {} */
            states: {
                rest?: components["schemas"]["style"];
                calling?: components["schemas"]["style"];
                underItem?: components["schemas"]["style"];
                taking?: components["schemas"]["style"];
                refusing?: components["schemas"]["style"];
                full?: components["schemas"]["style"];
                right?: components["schemas"]["style"];
                wrong?: components["schemas"]["style"];
            };
        };
        medium: {
            /** @description SHA-256 of its bytes. */
            hash: string;
            /** @enum {unknown} */
            kind: "picture" | "sound" | "film" | "font";
            /** @default null */
            description: string | null;
            /** @default false */
            decorative: boolean;
            /** @default  */
            source: string;
            /** @default  */
            licence: string;
            /**
             * @description Bytes.
             * @default 0
             */
            weight: number;
            /**
             * @description What is said in a film or a sound, as WebVTT.
             * @default null
             */
            captions: string | null;
            /**
             * @description Of a font: how wide its characters from U+0020 to U+017F are, in thousandths of its size.
             * @default null
             */
            advances: number[] | null;
        };
        item: {
            id: components["schemas"]["id"];
            /** @default  */
            label: string;
            /** @default null */
            lang: components["schemas"]["language"] | null;
            size: {
                w: number;
                h: number;
            };
            /**
             * @description Its place at the start, the unrotated top left; null: the tray places it.
             * @default null
             */
            home: {
                x: number;
                y: number;
            } | null;
            /**
             * @description Degrees, clockwise about the centre.
             * @default 0
             */
            rotation: number;
            /** @default 1 */
            copies: number | "endless";
            /** @default null */
            family: string | null;
            /** @default null */
            value: number | null;
            /**
             * @description What is shown; null: the label.
             * @default null
             */
            content: components["schemas"]["say"] | null;
            /** @default null */
            look: components["schemas"]["id"] | null;
            /**
             * @description Picked in place, never moved on the scene.
             * @default false
             */
            stays: boolean;
            /**
             * @description May be moved once settled.
             * @default true
             */
            again: boolean;
            /**
             * @description Goes home when dropped in no zone.
             * @default true
             */
            goesHome: boolean;
        };
        zone: {
            id: components["schemas"]["id"];
            /** @default  */
            label: string;
            /** @default null */
            lang: components["schemas"]["language"] | null;
            /**
             * @description What is drawn as its title; null: the label.
             * @default null
             */
            title: components["schemas"]["rich"] | null;
            shape: components["schemas"]["shape"];
            /**
             * @description Degrees, clockwise about the centre of the rectangle or ellipse; 0 for a polygon.
             * @default 0
             */
            rotation: number;
            /**
             * @description Takes only items of this family.
             * @default null
             */
            family: string | null;
            /**
             * @default {
             *       "rule": "share",
             *       "share": 0.5
             *     }
             */
            reach: components["schemas"]["reach"];
            /**
             * @default anyone
             * @enum {unknown}
             */
            welcome: "anyone" | "keyed";
            /** @default null */
            capacity: number | null;
            /**
             * @default refuse
             * @enum {unknown}
             */
            whenFull: "refuse" | "swap";
            /**
             * @default {
             *       "rule": "asDropped"
             *     }
             */
            settle: components["schemas"]["settle"];
            /**
             * @description Takes only what no other zone takes.
             * @default false
             */
            floor: boolean;
            /**
             * @description Not sent to learners.
             * @default false
             */
            hidden: boolean;
            /**
             * @description The item it moves and turns with; its shape is relative to that item's top left.
             * @default null
             */
            ridesOn: components["schemas"]["id"] | null;
            /**
             * @description Answered by typing: the spellings read as each item.
             * @default null
             */
            typed: {
                accept: {
                    [key: string]: string[];
                };
                /**
                 * @description Capitals matter.
                 * @default false
                 */
                case: boolean;
                /**
                 * @description Accents matter.
                 * @default false
                 */
                accents: boolean;
                /**
                 * @description Slips of the key forgiven.
                 * @default 0
                 */
                slips: number;
            } | null;
            /**
             * @description A slot answered by choosing from a menu of what it could take.
             * @default false
             */
            menu: boolean;
            /**
             * @description Characters a slot in a text is wide; null: as wide as all others.
             * @default null
             */
            chars: number | null;
            /** @default null */
            look: components["schemas"]["id"] | null;
            /**
             * @description A cover that learners open and shut.
             * @default null
             */
            lid: {
                /** @default  */
                label: string;
                /** @default false */
                startsOpen: boolean;
            } | null;
        };
        keyEntry: {
            zone: components["schemas"]["id"];
            /**
             * @description May be left out with sum: then every item with a value.
             * @default null
             */
            belongs: components["schemas"]["id"][] | null;
            /**
             * @description May be left out with sum or sequence.
             * @default null
             */
            need: components["schemas"]["need"] | null;
            /** @default null */
            sum: {
                target: number;
                /** @default 0 */
                tolerance: number;
            } | null;
            /**
             * @description belongs is the order.
             * @default false
             */
            sequence: boolean;
            /**
             * @description null: 1, or 0 for a trap.
             * @default null
             */
            weight: number | null;
            /**
             * @description Feedback on the zone, and on single items in it.
             * @default null
             */
            says: {
                /** @default null */
                zone: components["schemas"]["say"] | null;
                /** @default {} */
                items: {
                    [key: string]: components["schemas"]["say"];
                };
            } | null;
        };
        either: {
            belongs: components["schemas"]["id"][];
            zones: components["schemas"]["id"][];
            need: components["schemas"]["need"];
            /** @default null */
            weight: number | null;
        };
        pool: {
            items: components["schemas"]["id"][];
            take: number;
        };
        marks: {
            max: number;
            /** @enum {unknown} */
            rule: "perPlacement" | "perZone" | "allOrNothing";
            /** @default 1 */
            extraCosts: number;
            /** @default 0 */
            misplacedCosts: number;
            /**
             * @default exactPosition
             * @enum {unknown}
             */
            sequenceRule: "exactPosition" | "adjacentPairs" | "longestRun" | "pairsInOrder" | "allOrNothing";
            /** @default 0 */
            tryCosts: number;
            /** @default 2 */
            places: number;
            /**
             * @default best
             * @enum {unknown}
             */
            tryCounts: "best" | "last";
        };
        /** @description Something on the scene: its kind and its id. */
        thing: string;
        /**
         * A Vault Drop question, version 2
         * @description Lengths are scene units, turns degrees clockwise. What a schema cannot say (that names exist and are unique, that an outline does not cross itself) stands in README.md.
         */
        "question.schema": {
            /** @constant */
            format: "vault-drop/question";
            /** @constant */
            version: 2;
            id: components["schemas"]["id"];
            title: string;
            /** @default null */
            lang: components["schemas"]["language"] | null;
            /** @default null */
            titleLang: components["schemas"]["language"] | null;
            /** @enum {unknown} */
            kind: "sort" | "label" | "mark" | "gaps" | "order" | "count" | "build" | "pick" | "free";
            scene: {
                width: number;
                height: number;
            };
            /**
             * @description How the whole question is dressed, beside its looks.
             * @default null
             */
            dress: components["schemas"]["dress"] | null;
            /** @default null */
            prompt: components["schemas"]["rich"] | null;
            /**
             * @description The prompt's spoken form.
             * @default null
             */
            promptSound: components["schemas"]["id"] | null;
            /** @default [] */
            fixtures: components["schemas"]["fixture"][];
            /** @default {} */
            looks: {
                [key: string]: components["schemas"]["look"];
            };
            /** @default {} */
            media: {
                [key: string]: components["schemas"]["medium"];
            };
            /** @default [] */
            items: components["schemas"]["item"][];
            /** @default [] */
            zones: components["schemas"]["zone"][];
            /** @default [] */
            key: components["schemas"]["keyEntry"][];
            /** @default [] */
            either: components["schemas"]["either"][];
            /** @default [] */
            pools: components["schemas"]["pool"][];
            marks: components["schemas"]["marks"];
            /** @default null */
            tries: number | null;
            /**
             * @default onCheck
             * @enum {unknown}
             */
            judging: "onLand" | "onCheck";
            /**
             * @default leave
             * @enum {unknown}
             */
            afterMiss: "leave" | "sendWrongHome" | "sendAllHome";
            /** @default null */
            tray: {
                /**
                 * @default bottom
                 * @enum {unknown}
                 */
                side: "top" | "right" | "bottom" | "left";
                /** @default 120 */
                size: number;
                /**
                 * @default asListed
                 * @enum {unknown}
                 */
                order: "asListed" | "shuffled";
            } | null;
            /**
             * @description The arrangement at the start; null: all at home.
             * @default null
             */
            start: {
                /** @default [] */
                placements: {
                    item: components["schemas"]["id"];
                    copy?: number;
                    zone: components["schemas"]["id"];
                }[];
            } | null;
            /**
             * @default {
             *       "right": null,
             *       "partly": null,
             *       "wrong": null
             *     }
             */
            feedback: {
                /** @default null */
                right: components["schemas"]["say"] | null;
                /** @default null */
                partly: components["schemas"]["say"] | null;
                /** @default null */
                wrong: components["schemas"]["say"] | null;
            };
            /** @default [] */
            hints: components["schemas"]["say"][];
            /**
             * @default {
             *       "count": true,
             *       "mark": true,
             *       "runningTotal": false,
             *       "modelAnswer": "never",
             *       "nextOnlyAfterCheck": false,
             *       "places": [],
             *       "aids": []
             *     }
             */
            show: {
                /** @default true */
                count: boolean;
                /** @default true */
                mark: boolean;
                /** @default false */
                runningTotal: boolean;
                /**
                 * @default never
                 * @enum {unknown}
                 */
                modelAnswer: "never" | "atTheEnd" | "always";
                /** @default false */
                nextOnlyAfterCheck: boolean;
                /** @default [] */
                aids: ("calculator" | "readAloud")[];
                /**
                 * @description Named candidate places, for As a list where zones are hidden.
                 * @default []
                 */
                places: {
                    label: string;
                    x: number;
                    y: number;
                }[];
            };
            /**
             * @default {
             *       "check": null,
             *       "reset": null,
             *       "hint": null,
             *       "next": null
             *     }
             */
            buttons: {
                /** @default null */
                check: string | null;
                /** @default null */
                reset: string | null;
                /** @default null */
                hint: string | null;
                /** @default null */
                next: string | null;
            };
            /**
             * @description What the Bench keeps for the author: never sent to learners.
             * @default {
             *       "locked": [],
             *       "veiled": [],
             *       "groups": []
             *     }
             */
            bench: {
                /** @default [] */
                locked: components["schemas"]["thing"][];
                /** @default [] */
                veiled: components["schemas"]["thing"][];
                /** @default [] */
                groups: components["schemas"]["thing"][][];
            };
            $defs: {
                /** @description Something on the scene: its kind and its id. */
                thing: string;
                /** @description A name: 1 to 100 characters, none of them a control character. */
                id: string;
                /** @description Characters with a few switches, or a slot. */
                run: {
                    text?: string;
                    /** @description The zone that stands here, laid out by the page. In a text fixture alone. */
                    slot?: components["schemas"]["id"];
                    strong?: boolean;
                    em?: boolean;
                    /** @description In a font whose characters are equally wide, with white space as it is: code. */
                    mono?: boolean;
                    /** @enum {unknown} */
                    colour?: "ink" | "mute" | "brass" | "verdigris" | "brick";
                    lang?: string;
                    /** @description Drawn instead of the text, which is how it is spoken and found. */
                    formula?: components["schemas"]["formula"];
                } & (unknown | unknown);
                /** @description Rich text: paragraphs and lists of runs. Nothing in it can hold markup. */
                rich: {
                    /** @default [] */
                    blocks: ({
                        /** @constant */
                        type: "paragraph";
                        /** @enum {unknown} */
                        dir?: "ltr" | "rtl";
                        /** @default [] */
                        runs: components["schemas"]["run"][];
                    } | {
                        /** @constant */
                        type: "list";
                        /** @default false */
                        ordered: boolean;
                        /** @enum {unknown} */
                        dir?: "ltr" | "rtl";
                        /** @default [] */
                        entries: components["schemas"]["run"][][];
                    })[];
                };
                /** @description Something shown or said: words, a picture, a sound (both by their name in media), or several of them. */
                say: {
                    /** @default null */
                    text: components["schemas"]["rich"] | null;
                    /** @default null */
                    picture: components["schemas"]["id"] | null;
                    /** @default null */
                    sound: components["schemas"]["id"] | null;
                };
                /** @description Scene units; y grows downward. A slot is laid out by the page. */
                shape: {
                    /** @constant */
                    type: "rect";
                    x: number;
                    y: number;
                    w: number;
                    h: number;
                } | {
                    /** @constant */
                    type: "ellipse";
                    cx: number;
                    cy: number;
                    rx: number;
                    ry: number;
                } | {
                    /** @constant */
                    type: "polygon";
                    points: number[][];
                } | {
                    /** @constant */
                    type: "slot";
                };
                /** @description How much of an item must be over a zone. share: the share of its area, more than 0 and at most 1. */
                reach: {
                    /** @enum {unknown} */
                    rule: "touch" | "centre" | "inside" | "pointer";
                } | {
                    /** @constant */
                    rule: "share";
                    /** @default 0.5 */
                    share: number;
                };
                /** @description Where an item comes to rest in a zone. */
                settle: {
                    /** @enum {unknown} */
                    rule: "asDropped" | "pile";
                } | {
                    /** @constant */
                    rule: "anchor";
                    /**
                     * @default middle
                     * @enum {unknown}
                     */
                    at: "topLeft" | "top" | "topRight" | "left" | "middle" | "right" | "bottomLeft" | "bottom" | "bottomRight";
                    /** @default 8 */
                    gap: number;
                } | {
                    /** @enum {unknown} */
                    rule: "row" | "column" | "grid";
                    /** @default 8 */
                    gap: number;
                };
                /** @description How many of what belongs: min is at most max. */
                need: {
                    /** @constant */
                    rule: "all";
                } | {
                    /** @enum {unknown} */
                    rule: "exactly" | "atLeast";
                    n: number;
                } | {
                    /** @constant */
                    rule: "between";
                    min: number;
                    max: number;
                };
                item: {
                    id: components["schemas"]["id"];
                    /** @default  */
                    label: string;
                    /** @default null */
                    lang: components["schemas"]["language"] | null;
                    size: {
                        w: number;
                        h: number;
                    };
                    /**
                     * @description Its place at the start, the unrotated top left; null: the tray places it.
                     * @default null
                     */
                    home: {
                        x: number;
                        y: number;
                    } | null;
                    /**
                     * @description Degrees, clockwise about the centre.
                     * @default 0
                     */
                    rotation: number;
                    /** @default 1 */
                    copies: number | "endless";
                    /** @default null */
                    family: string | null;
                    /** @default null */
                    value: number | null;
                    /**
                     * @description What is shown; null: the label.
                     * @default null
                     */
                    content: components["schemas"]["say"] | null;
                    /** @default null */
                    look: components["schemas"]["id"] | null;
                    /**
                     * @description Picked in place, never moved on the scene.
                     * @default false
                     */
                    stays: boolean;
                    /**
                     * @description May be moved once settled.
                     * @default true
                     */
                    again: boolean;
                    /**
                     * @description Goes home when dropped in no zone.
                     * @default true
                     */
                    goesHome: boolean;
                };
                zone: {
                    id: components["schemas"]["id"];
                    /** @default  */
                    label: string;
                    /** @default null */
                    lang: components["schemas"]["language"] | null;
                    /**
                     * @description What is drawn as its title; null: the label.
                     * @default null
                     */
                    title: components["schemas"]["rich"] | null;
                    shape: components["schemas"]["shape"];
                    /**
                     * @description Degrees, clockwise about the centre of the rectangle or ellipse; 0 for a polygon.
                     * @default 0
                     */
                    rotation: number;
                    /**
                     * @description Takes only items of this family.
                     * @default null
                     */
                    family: string | null;
                    /**
                     * @default {
                     *       "rule": "share",
                     *       "share": 0.5
                     *     }
                     */
                    reach: components["schemas"]["reach"];
                    /**
                     * @default anyone
                     * @enum {unknown}
                     */
                    welcome: "anyone" | "keyed";
                    /** @default null */
                    capacity: number | null;
                    /**
                     * @default refuse
                     * @enum {unknown}
                     */
                    whenFull: "refuse" | "swap";
                    /**
                     * @default {
                     *       "rule": "asDropped"
                     *     }
                     */
                    settle: components["schemas"]["settle"];
                    /**
                     * @description Takes only what no other zone takes.
                     * @default false
                     */
                    floor: boolean;
                    /**
                     * @description Not sent to learners.
                     * @default false
                     */
                    hidden: boolean;
                    /**
                     * @description The item it moves and turns with; its shape is relative to that item's top left.
                     * @default null
                     */
                    ridesOn: components["schemas"]["id"] | null;
                    /**
                     * @description Answered by typing: the spellings read as each item.
                     * @default null
                     */
                    typed: {
                        accept: {
                            [key: string]: string[];
                        };
                        /**
                         * @description Capitals matter.
                         * @default false
                         */
                        case: boolean;
                        /**
                         * @description Accents matter.
                         * @default false
                         */
                        accents: boolean;
                        /**
                         * @description Slips of the key forgiven.
                         * @default 0
                         */
                        slips: number;
                    } | null;
                    /**
                     * @description A slot answered by choosing from a menu of what it could take.
                     * @default false
                     */
                    menu: boolean;
                    /**
                     * @description Characters a slot in a text is wide; null: as wide as all others.
                     * @default null
                     */
                    chars: number | null;
                    /** @default null */
                    look: components["schemas"]["id"] | null;
                    /**
                     * @description A cover that learners open and shut.
                     * @default null
                     */
                    lid: {
                        /** @default  */
                        label: string;
                        /** @default false */
                        startsOpen: boolean;
                    } | null;
                };
                keyEntry: {
                    zone: components["schemas"]["id"];
                    /**
                     * @description May be left out with sum: then every item with a value.
                     * @default null
                     */
                    belongs: components["schemas"]["id"][] | null;
                    /**
                     * @description May be left out with sum or sequence.
                     * @default null
                     */
                    need: components["schemas"]["need"] | null;
                    /** @default null */
                    sum: {
                        target: number;
                        /** @default 0 */
                        tolerance: number;
                    } | null;
                    /**
                     * @description belongs is the order.
                     * @default false
                     */
                    sequence: boolean;
                    /**
                     * @description null: 1, or 0 for a trap.
                     * @default null
                     */
                    weight: number | null;
                    /**
                     * @description Feedback on the zone, and on single items in it.
                     * @default null
                     */
                    says: {
                        /** @default null */
                        zone: components["schemas"]["say"] | null;
                        /** @default {} */
                        items: {
                            [key: string]: components["schemas"]["say"];
                        };
                    } | null;
                };
                either: {
                    belongs: components["schemas"]["id"][];
                    zones: components["schemas"]["id"][];
                    need: components["schemas"]["need"];
                    /** @default null */
                    weight: number | null;
                };
                pool: {
                    items: components["schemas"]["id"][];
                    take: number;
                };
                marks: {
                    max: number;
                    /** @enum {unknown} */
                    rule: "perPlacement" | "perZone" | "allOrNothing";
                    /** @default 1 */
                    extraCosts: number;
                    /** @default 0 */
                    misplacedCosts: number;
                    /**
                     * @default exactPosition
                     * @enum {unknown}
                     */
                    sequenceRule: "exactPosition" | "adjacentPairs" | "longestRun" | "pairsInOrder" | "allOrNothing";
                    /** @default 0 */
                    tryCosts: number;
                    /** @default 2 */
                    places: number;
                    /**
                     * @default best
                     * @enum {unknown}
                     */
                    tryCounts: "best" | "last";
                };
                /** @description A token of the application, or six hexadecimal digits. */
                colour: string | ("ink" | "paper" | "sheet" | "rule" | "mute" | "brass" | "brassWash" | "verdigris" | "verdigrisWash" | "brick" | "brickWash");
                /** @description One state; what is left out is as at rest. */
                style: {
                    fill?: components["schemas"]["colour"];
                    edge?: components["schemas"]["colour"];
                    text?: components["schemas"]["colour"];
                    edgeWidth?: number;
                    /** @enum {unknown} */
                    edgeStyle?: "solid" | "dashed" | "dotted" | "none";
                    fontSize?: number;
                    /** @enum {unknown} */
                    face?: "school" | "joined" | "steady" | "book" | "round" | "narrow" | "hand" | "code";
                    ownFace?: components["schemas"]["id"];
                    picture?: components["schemas"]["id"];
                    sound?: components["schemas"]["id"];
                    /** @enum {unknown} */
                    motion?: "none" | "fade" | "shrink" | "spin" | "nudge";
                };
                look: {
                    /** @constant */
                    of: "item";
                    /** @default  */
                    name: string;
                    /**
                     * @description Put away when taken.
                     * @default false
                     */
                    putAway: boolean;
                    /** @default {} */
                    states: {
                        rest?: components["schemas"]["style"];
                        inHand?: components["schemas"]["style"];
                        overZone?: components["schemas"]["style"];
                        settled?: components["schemas"]["style"];
                        waiting?: components["schemas"]["style"];
                        turnedAway?: components["schemas"]["style"];
                        right?: components["schemas"]["style"];
                        wrong?: components["schemas"]["style"];
                        putAway?: components["schemas"]["style"];
                    };
                } | {
                    /** @constant */
                    of: "zone";
                    /** @default  */
                    name: string;
                    /** @default {} */
                    states: {
                        rest?: components["schemas"]["style"];
                        calling?: components["schemas"]["style"];
                        underItem?: components["schemas"]["style"];
                        taking?: components["schemas"]["style"];
                        refusing?: components["schemas"]["style"];
                        full?: components["schemas"]["style"];
                        right?: components["schemas"]["style"];
                        wrong?: components["schemas"]["style"];
                    };
                };
                medium: {
                    /** @description SHA-256 of its bytes. */
                    hash: string;
                    /** @enum {unknown} */
                    kind: "picture" | "sound" | "film" | "font";
                    /** @default null */
                    description: string | null;
                    /** @default false */
                    decorative: boolean;
                    /** @default  */
                    source: string;
                    /** @default  */
                    licence: string;
                    /**
                     * @description Bytes.
                     * @default 0
                     */
                    weight: number;
                    /**
                     * @description What is said in a film or a sound, as WebVTT.
                     * @default null
                     */
                    captions: string | null;
                    /**
                     * @description Of a font: how wide its characters from U+0020 to U+017F are, in thousandths of its size.
                     * @default null
                     */
                    advances: number[] | null;
                };
                /** @description Something on the scene that learners cannot move. */
                fixture: {
                    /** @constant */
                    type: "text";
                    id: components["schemas"]["id"];
                    /** @default  */
                    label: string;
                    x: number;
                    y: number;
                    w: number;
                    h: number;
                    /** @default 0 */
                    rotation: number;
                    /**
                     * @description Lies over the zones.
                     * @default false
                     */
                    front: boolean;
                    when?: components["schemas"]["when"];
                    text: components["schemas"]["rich"];
                    /** @default null */
                    letters: components["schemas"]["letters"] | null;
                } | {
                    /** @constant */
                    type: "picture";
                    id: components["schemas"]["id"];
                    /** @default  */
                    label: string;
                    x: number;
                    y: number;
                    w: number;
                    h: number;
                    /** @default 0 */
                    rotation: number;
                    /**
                     * @description Lies over the zones.
                     * @default false
                     */
                    front: boolean;
                    when?: components["schemas"]["when"];
                    media: components["schemas"]["id"];
                } | {
                    /** @constant */
                    type: "shape";
                    id: components["schemas"]["id"];
                    /** @default  */
                    label: string;
                    x: number;
                    y: number;
                    w: number;
                    h: number;
                    /** @default 0 */
                    rotation: number;
                    /**
                     * @description Lies over the zones.
                     * @default false
                     */
                    front: boolean;
                    when?: components["schemas"]["when"];
                    shape: components["schemas"]["shape"];
                    /** @default null */
                    fill: components["schemas"]["colour"] | null;
                    /** @default ink */
                    edge: components["schemas"]["colour"] | null;
                    /** @default 1 */
                    edgeWidth: number;
                } | {
                    /** @constant */
                    type: "sound";
                    id: components["schemas"]["id"];
                    /** @default  */
                    label: string;
                    x: number;
                    y: number;
                    w: number;
                    h: number;
                    /** @default 0 */
                    rotation: number;
                    /**
                     * @description Lies over the zones.
                     * @default false
                     */
                    front: boolean;
                    when?: components["schemas"]["when"];
                    media: components["schemas"]["id"];
                } | {
                    /** @constant */
                    type: "film";
                    id: components["schemas"]["id"];
                    /** @default  */
                    label: string;
                    x: number;
                    y: number;
                    w: number;
                    h: number;
                    /** @default 0 */
                    rotation: number;
                    /**
                     * @description Lies over the zones.
                     * @default false
                     */
                    front: boolean;
                    when?: components["schemas"]["when"];
                    media: components["schemas"]["id"];
                };
                /**
                 * @description When it appears, disappears or shows something else; null: it is always there.
                 * @default null
                 */
                when: {
                    events: {
                        /** @enum {unknown} */
                        on: "taking" | "full" | "holds" | "putAway" | "right" | "partly" | "wrong";
                        zone?: components["schemas"]["id"];
                        item?: components["schemas"]["id"];
                        count?: number;
                    }[];
                    /** @enum {unknown} */
                    does: "appears" | "disappears" | "shows";
                    /** @default null */
                    content: components["schemas"]["say"] | null;
                    /**
                     * @default next
                     * @enum {unknown}
                     */
                    until: "next" | "reset";
                } | null;
                dress: {
                    /** @default null */
                    ground: components["schemas"]["ground"] | null;
                    /** @default null */
                    letters: components["schemas"]["letters"] | null;
                };
                /** @description What lies beneath everything: a colour, over it a picture that covers the scene and a texture, and a frame. */
                ground: {
                    /** @default null */
                    colour: components["schemas"]["colour"] | null;
                    /**
                     * @default null
                     * @enum {unknown}
                     */
                    texture: "linen" | "squared" | "lined" | "dotted" | "wood" | "stone" | "leaves" | "weave" | null;
                    /** @default null */
                    picture: components["schemas"]["id"] | null;
                    /**
                     * @default null
                     * @enum {unknown}
                     */
                    frame: "line" | "double" | "corners" | "stitched" | null;
                };
                /** @description In what letters words are shown; null: as the page draws them. */
                letters: {
                    /**
                     * @default null
                     * @enum {unknown}
                     */
                    face: "school" | "joined" | "steady" | "book" | "round" | "narrow" | "hand" | "code" | null;
                    /**
                     * @description A font of the author's, by its name in media, instead of a face.
                     * @default null
                     */
                    ownFace: components["schemas"]["id"] | null;
                    /**
                     * @description Of an item's words, in scene units; titles and texts grow with it.
                     * @default null
                     */
                    size: number | null;
                };
                /** @description A formula: the TeX it is typed as, and the MathML it is drawn as. */
                formula: {
                    tex: string;
                    math: {
                        /** @constant */
                        is: "math";
                        with?: components["schemas"]["mathAttributes"];
                        holds: components["schemas"]["mathHolds"];
                    };
                };
                mathAttributes: {
                    accent?: string;
                    accentunder?: string;
                    columnalign?: string;
                    columnspan?: string;
                    depth?: string;
                    display?: string;
                    displaystyle?: string;
                    fence?: string;
                    form?: string;
                    height?: string;
                    largeop?: string;
                    linethickness?: string;
                    lspace?: string;
                    mathvariant?: string;
                    maxsize?: string;
                    minsize?: string;
                    movablelimits?: string;
                    rowspan?: string;
                    rspace?: string;
                    scriptlevel?: string;
                    separator?: string;
                    stretchy?: string;
                    symmetric?: string;
                    voffset?: string;
                    width?: string;
                };
                mathHolds: (string | components["schemas"]["mathElement"])[];
                /** @description An element of MathML Core. */
                mathElement: {
                    /** @enum {unknown} */
                    is: "mrow" | "mi" | "mn" | "mo" | "mtext" | "ms" | "mspace" | "mfrac" | "msqrt" | "mroot" | "msub" | "msup" | "msubsup" | "munder" | "mover" | "munderover" | "mmultiscripts" | "mprescripts" | "mtable" | "mtr" | "mtd" | "mpadded" | "mphantom" | "mstyle";
                    with?: components["schemas"]["mathAttributes"];
                    holds: components["schemas"]["mathHolds"];
                };
                /** @description A language tag as BCP 47 has them. */
                language: string;
            };
        };
    };
    responses: {
        /** @description It could not be done */
        anyOther: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/json": components["schemas"]["Failed"];
            };
        };
        /** @description You are not signed in */
        notSignedIn: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/json": components["schemas"]["Failed"];
            };
        };
        /** @description You cannot open this; This came from another site */
        "notAllowed-crossSite": {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/json": components["schemas"]["Failed"];
            };
        };
        /** @description You cannot open this */
        notAllowed: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/json": components["schemas"]["Failed"];
            };
        };
        /** @description That request could not be read */
        badRequest: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/json": components["schemas"]["Failed"];
            };
        };
        /** @description That is too large */
        tooLarge: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/json": components["schemas"]["Failed"];
            };
        };
        /** @description Some of this cannot be saved */
        invalid: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/json": components["schemas"]["Failed"];
            };
        };
        /** @description There is nothing here */
        notFound: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/json": components["schemas"]["Failed"];
            };
        };
        /** @description This came from another site */
        crossSite: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/json": components["schemas"]["Failed"];
            };
        };
        /** @description Some of this cannot be saved; This file cannot be used */
        "invalid-notTaken": {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/json": components["schemas"]["Failed"];
            };
        };
        /** @description This file cannot be used */
        notTaken: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/json": components["schemas"]["Failed"];
            };
        };
    };
    parameters: never;
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
    "get-account-calendar": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            madeAt: string | null;
                        };
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-account-calendar": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            path: string;
                            /** Format: date-time */
                            madeAt: string;
                        };
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-account-calendar": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            madeAt: string | null;
                        };
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-account-events": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["SecurityRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-account-mail-confirmed": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    token: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["MorningMailView"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-account-mail-now": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            jobId: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-account-mail": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["MorningMailView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-account-mail": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    address: string;
                    /** @enum {unknown} */
                    days: "everyDay" | "schoolDays" | "mondays";
                    hour: number;
                    zone: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["MorningMailView"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-account-mail": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["MorningMailView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-account-sessions-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: null;
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-account-sessions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["SessionRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-account-sessions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            ended: number;
                        };
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-account-tokens-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["TokenRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-account-tokens": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["TokenRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-account-tokens": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    name: string;
                    scopes: ("read" | "author" | "publish" | "results")[];
                    days: number;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["TokenMade"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-bin": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            questions: number;
                        };
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-board-records-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["ClassRecord"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-board-records-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: null;
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-board-records": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["ClassRecordRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-board-records": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 2 MiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    title: string;
                    questions: components["schemas"]["question.schema"][];
                    rounds: {
                        question: number;
                        up: Record<string, never>[];
                        homes: Record<string, never>[];
                        moves: Record<string, never>[];
                    }[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-board": {
        parameters: {
            query: {
                from: "question" | "set" | "release" | "unit";
                id: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["ClassBoard"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-calendar-secret-ics": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                secret: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/calendar": unknown;
                };
            };
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-audit": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["AuditRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-courses-id-categories": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 256 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    from: number;
                    categories: {
                        id: string;
                        title: string;
                        weight: number;
                    }[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["CourseParts"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-gradebook-means": {
        parameters: {
            query?: {
                words?: string;
                group?: string;
                release?: string;
                state?: "done" | "running" | "missing" | "none" | "excused" | "notFor" | "late" | "byHand" | "noted";
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["GradeMeans"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-gradebook": {
        parameters: {
            query?: {
                words?: string;
                from?: number;
                group?: string;
                release?: string;
                state?: "done" | "running" | "missing" | "none" | "excused" | "notFor" | "late" | "byHand" | "noted";
                sort?: string;
                descending?: boolean;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["GradebookPage"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-courses-id-groups-group": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                group: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    learnerId: string;
                    isIn: boolean;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: null;
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-courses-id-groups": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    title: string;
                    from: number | null;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["CourseParts"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-learners-learner-report": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                learner: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["LearnerReport"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-learners-learner": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                learner: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-courses-id-learners-learner": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                learner: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["Erased"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-learners": {
        parameters: {
            query?: {
                words?: string;
                from?: number;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["RosterPage"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-courses-id-learners": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    name: string;
                    username: string;
                    password: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-courses-id-learners": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    learners: string[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            removed: number;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-left": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["LeftRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-courses-id-lti-roster": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    take: boolean;
                    /** @default false */
                    removeOthers?: boolean;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["RosterPlan"] | components["schemas"]["RosterTaken"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-courses-id-mastery-groups": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    outcome: string;
                    /** @default null */
                    release?: string | null;
                    title: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            learners: number;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-mastery": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["MasteryView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-names": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["RosterName"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-oneroster-notes": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["OneRosterNotes"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-oneroster": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/zip": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-outside": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["GoesOutside"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-parts": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["CourseParts"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-courses-id-pictures": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    allowed: boolean;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            code: null | string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-courses-id-removals-removal": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                removal: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["CourseParts"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-removals": {
        parameters: {
            query: {
                kind: "unit" | "category" | "group";
                of: string;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["RemovalEffects"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-courses-id-removals": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    /** @enum {unknown} */
                    kind: "unit" | "category" | "group";
                    of: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["CourseParts"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-reports": {
        parameters: {
            query?: {
                group?: string;
                from?: number;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["ClassReport"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-courses-id-roster": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 1 MiB. */
        requestBody: {
            content: {
                "application/json": {
                    text: string;
                    take: boolean;
                    /** @default false */
                    removeOthers?: boolean;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["RosterPlan"] | components["schemas"]["RosterTaken"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-teachers": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["TeacherRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-courses-id-teachers": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    username: string;
                    teaches: boolean;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["TeacherRow"][];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-courses-id-units": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 256 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    from: number;
                    units: {
                        id: string;
                        title: string;
                    }[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["CourseParts"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["CourseView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "patch-courses-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    title?: string;
                    archived?: boolean;
                    join?: {
                        /**
                         * Format: date-time
                         * @description In UTC, as 2026-11-25T10:00:00Z
                         * @default null
                         */
                        until?: string | null;
                    } | null;
                    zone?: string | null;
                    lang?: string | null;
                    /** @enum {unknown} */
                    appearance?: "paper" | "slate" | "fieldNotes" | "highContrast" | "largePrint";
                    releaseDefaults?: {
                        /** @default null */
                        minutes?: number | null;
                        sittings: number | null;
                        /** @enum {unknown} */
                        counts: "best" | "last" | "first" | "average";
                        practice: boolean;
                        /** @enum {unknown} */
                        feedbackLevel: "nothing" | "verdicts" | "feedback" | "modelAnswer";
                        /** @enum {unknown} */
                        feedbackTime: "atOnce" | "finished" | "closed";
                    };
                    letters?: {
                        letter: string;
                        from: number;
                    }[];
                    from: number;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["CourseSaved"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["CourseRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-courses": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    title: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-formulas": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    tex: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["Formula"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-health": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            default: components["responses"]["anyOther"];
        };
    };
    "get-installation": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["InstallationView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-installation": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    directEnrolment: boolean;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["InstallationView"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-invitations-course": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                course: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: null;
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-invitations-course": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                course: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: null;
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-invitations": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["InvitationRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-jobs-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["JobView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-joining": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    code: string;
                    name: string;
                    username: string;
                    password: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            course: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            403: components["responses"]["crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-joining": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    code: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            course: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-learners-id-password": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    password: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: null;
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-learners-id-pictures": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            pictures: ("apple" | "beetle" | "bird" | "carrot" | "cherry" | "cloud" | "fish" | "flower" | "grape" | "leaf" | "moon" | "snail" | "sprout" | "sun" | "tree" | "wheat")[];
                        };
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-lists-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 1 MiB. */
        requestBody: {
            content: {
                "application/json": {
                    title: string;
                    rows: string[][];
                    pictures?: {
                        word: string;
                        hash: string;
                        description: string;
                        weight: number;
                    }[];
                    from: number;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                            revision: number;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-lists-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: null;
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-lists": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["ListRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-lists": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 1 MiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    title: string;
                    rows: string[][];
                    pictures?: {
                        word: string;
                        hash: string;
                        description: string;
                        weight: number;
                    }[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-lti-same-person": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    launch: string;
                    password: string | null;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            path: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-me": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-media-usage": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["MediaUsage"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-media-usage": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["MediaUsage"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-media": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["MediumRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-media": {
        parameters: {
            query: {
                name: string;
                width?: number;
                height?: number;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 62 MiB. */
        requestBody: {
            content: {
                "*/*": unknown;
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["StoredMedium"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid-notTaken"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-oneroster": {
        parameters: {
            query?: {
                take?: boolean;
                skipFaulty?: boolean;
                source?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 62 MiB. */
        requestBody: {
            content: {
                "application/zip": unknown;
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["OneRosterPlan"] | components["schemas"]["OneRosterTaken"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid-notTaken"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-outcomes-questions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    questions: string[];
                    add: string[];
                    remove: string[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            questions: number;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-outcomes-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["FrameworkView"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-outcomes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["FrameworkView"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-outcomes": {
        parameters: {
            query?: {
                take?: boolean;
                id?: string;
                title?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 20 MiB. */
        requestBody: {
            content: {
                "*/*": unknown;
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["OutcomesPlan"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid-notTaken"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-packages-carried": {
        parameters: {
            query?: {
                shelf?: string;
                set?: string;
                questions?: string;
                format?: "own" | "qti";
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["CarriedQuestion"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-packages": {
        parameters: {
            query?: {
                shelf?: string;
                set?: string;
                questions?: string;
                format?: "own" | "qti";
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/zip": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-packages": {
        parameters: {
            query: {
                id: string;
                look?: boolean;
                questions?: string;
                sets?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 62 MiB. */
        requestBody: {
            content: {
                "application/zip": unknown;
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["Imported"] | components["schemas"]["LookedAtPackage"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid-notTaken"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-ping": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            default: components["responses"]["anyOther"];
        };
    };
    "delete-platforms-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["PlatformsPage"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-platforms": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["PlatformsPage"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-platforms": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    name: string;
                    issuer: string;
                    clientId: string;
                    deployments: string[];
                    authUrl: string;
                    tokenUrl: string;
                    jwksUrl: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["PlatformsPage"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-questions-dress": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    ids: string[];
                    like: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["QuestionsDressed"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-questions-dress": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    done: {
                        id: string;
                        revision: number;
                    }[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            questions: number;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-questions-words": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    ids: string[];
                    find: string;
                    to: string;
                    wholeWords: boolean;
                    matchCase: boolean;
                    apply: boolean;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["WordsReplaced"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-questions-words": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    done: {
                        id: string;
                        revision: number;
                    }[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            questions: number;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-questions-id-copies": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 2 MiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    document?: components["schemas"]["question.schema"];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-questions-id-edits": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 2 MiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    from: number;
                    edits: ({
                        /** @constant */
                        type: "setQuestion";
                        field: string;
                        to?: unknown;
                        from?: unknown;
                    } | {
                        /** @constant */
                        type: "set";
                        /** @enum {unknown} */
                        in: "items" | "zones" | "fixtures";
                        id: string;
                        field: string;
                        to?: unknown;
                        from?: unknown;
                    } | {
                        /** @constant */
                        type: "add";
                        /** @enum {unknown} */
                        in: "items" | "zones" | "fixtures";
                        index: number;
                        entry: {
                            id: string;
                        };
                    } | {
                        /** @constant */
                        type: "remove";
                        /** @enum {unknown} */
                        in: "items" | "zones" | "fixtures";
                        index: number;
                        entry: {
                            id: string;
                        };
                    } | {
                        /** @constant */
                        type: "move";
                        /** @enum {unknown} */
                        in: "items" | "zones" | "fixtures";
                        from: number;
                        to: number;
                    } | {
                        /** @constant */
                        type: "name";
                        /** @enum {unknown} */
                        in: "looks" | "media";
                        name: string;
                        to: Record<string, never> | null;
                        from?: unknown;
                    })[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            revision: number;
                            /** Format: date-time */
                            changedAt: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-questions-id-outcomes": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: string[];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-questions-id-outcomes": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    outcomes: string[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: string[];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-questions-id-uses": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["Uses"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-questions-id-versions-revision": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                revision: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            question: components["schemas"]["question.schema"];
                        };
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-questions-id-versions-revision": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                revision: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    name: string | null;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: null;
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-questions-id-versions": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["VersionRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-questions-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["StoredQuestion"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "patch-questions-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    deleted?: boolean | null;
                    startingPoint?: boolean | null;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: null;
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-questions": {
        parameters: {
            query?: {
                shelf?: string;
                words?: string;
                tag?: string;
                kind?: "sort" | "label" | "mark" | "gaps" | "order" | "count" | "build" | "pick" | "free";
                findings?: "error" | "warning" | "none";
                use?: "used" | "unused" | "start";
                sort?: "changed" | "title";
                from?: number;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["VaultPage"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-questions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 2 MiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    /** Format: uuid */
                    shelfId?: string | null;
                    example?: ("sort" | "label" | "mark" | "gaps" | "order" | "count" | "build" | "pick" | "free") | null;
                    first?: {
                        id: string;
                        edits: ({
                            /** @constant */
                            type: "setQuestion";
                            field: string;
                            to?: unknown;
                            from?: unknown;
                        } | {
                            /** @constant */
                            type: "set";
                            /** @enum {unknown} */
                            in: "items" | "zones" | "fixtures";
                            id: string;
                            field: string;
                            to?: unknown;
                            from?: unknown;
                        } | {
                            /** @constant */
                            type: "add";
                            /** @enum {unknown} */
                            in: "items" | "zones" | "fixtures";
                            index: number;
                            entry: {
                                id: string;
                            };
                        } | {
                            /** @constant */
                            type: "remove";
                            /** @enum {unknown} */
                            in: "items" | "zones" | "fixtures";
                            index: number;
                            entry: {
                                id: string;
                            };
                        } | {
                            /** @constant */
                            type: "move";
                            /** @enum {unknown} */
                            in: "items" | "zones" | "fixtures";
                            from: number;
                            to: number;
                        } | {
                            /** @constant */
                            type: "name";
                            /** @enum {unknown} */
                            in: "looks" | "media";
                            name: string;
                            to: Record<string, never> | null;
                            from?: unknown;
                        })[];
                    } | null;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "patch-questions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    ids: string[];
                    /** Format: uuid */
                    shelfId?: string | null;
                    deleted?: boolean;
                    addTags?: string[];
                    removeTags?: string[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["ManyChanged"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-record-store-again": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    /** @default false */
                    all?: boolean;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["RecordStoreView"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-record-store": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["RecordStoreView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-record-store": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    address: string;
                    key: string;
                    /** @default  */
                    secret?: string;
                    /** @default false */
                    names?: boolean;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["RecordStoreView"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-record-store": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["RecordStoreView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-releases-id-allowances": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    learnerId: string;
                    allowed?: {
                        moreMinutes: number;
                        moreSittings: number;
                        /**
                         * Format: date-time
                         * @description In UTC, as 2026-11-25T10:00:00Z
                         * @default null
                         */
                        dueAt?: string | null;
                        /**
                         * Format: date-time
                         * @description In UTC, as 2026-11-25T10:00:00Z
                         * @default null
                         */
                        closesAt?: string | null;
                    } | null;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["SettingsView"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-analysis": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["AnalysisView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-comparison": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["ComparisonView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-releases-id-copies": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    copies: {
                        id: string;
                        courseId: string;
                    }[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            made: number;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-editions-number": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                number: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["CorrectionPreview"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-releases-id-editions-number": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                number: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    /** @default false */
                    spare?: boolean;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["Applied"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-editions": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["CorrectionView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-releases-id-editions": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 256 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    reason: string;
                    changes: {
                        question: number;
                        strike: boolean;
                        fromVault: boolean;
                        accept: {
                            item: string;
                            zone: string;
                        }[];
                        spellings?: {
                            item: string;
                            zone: string;
                            text: string;
                        }[];
                    }[];
                    /** @default null */
                    number?: number | null;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["CorrectionPreview"] | {
                            number: number;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-releases-id-groups": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    question: number;
                    title: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            learners: number;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-live-events": {
        parameters: {
            query?: {
                after?: string | null;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/event-stream": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-live": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["LiveView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-releases-id-marks": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    learnerId: string;
                    mark?: {
                        points: number;
                        reason: string;
                        /** @default false */
                        above?: boolean;
                    } | null;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["GradeRow"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-mastery": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["MasteryView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-paper-learners": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["SheetLearner"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-paper": {
        parameters: {
            query?: {
                variant?: number;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["SheetView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-releases-id-paper": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    learnerId: string;
                    variant: number;
                    /**
                     * Format: date-time
                     * @description In UTC, as 2026-11-25T10:00:00Z
                     * @default null
                     */
                    writtenAt?: string | null;
                    answers: {
                        places: {
                            number: number;
                            text: string;
                        }[];
                        marks: {
                            x: number;
                            y: number;
                        }[];
                    }[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["SheetEntered"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-releases-id-remarks": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    learnerId: string;
                    excused: boolean;
                    note: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["GradeRow"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-results": {
        parameters: {
            query?: {
                from?: number;
                sort?: "name" | "username" | "state" | "sittings" | "mark" | "tries" | "time";
                descending?: boolean;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["ResultsView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-releases-id-scores": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    learnerId: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            sending: components["schemas"]["Sending"];
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-settings": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["SettingsView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-releases-id-settings": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 256 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    title?: string;
                    /**
                     * Format: uuid
                     * @default null
                     */
                    unitId?: string | null;
                    /**
                     * Format: date-time
                     * @description In UTC, as 2026-11-25T10:00:00Z
                     * @default null
                     */
                    opensAt?: string | null;
                    /**
                     * Format: date-time
                     * @description In UTC, as 2026-11-25T10:00:00Z
                     * @default null
                     */
                    dueAt?: string | null;
                    /**
                     * Format: date-time
                     * @description In UTC, as 2026-11-25T10:00:00Z
                     * @default null
                     */
                    closesAt?: string | null;
                    /** @default null */
                    minutes?: number | null;
                    sittings: number | null;
                    /** @enum {unknown} */
                    counts: "best" | "last" | "first" | "average";
                    practice: boolean;
                    /**
                     * Format: uuid
                     * @default null
                     */
                    categoryId?: string | null;
                    /** @default null */
                    passMark?: number | null;
                    /** @enum {unknown} */
                    feedbackLevel: "nothing" | "verdicts" | "feedback" | "modelAnswer";
                    /** @enum {unknown} */
                    feedbackTime: "atOnce" | "finished" | "closed";
                    audience?: {
                        groups: string[];
                        learners: string[];
                    } | null;
                    from: number;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["SettingsView"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-sittings-sitting": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                sitting: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["RetraceView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-releases-id-sittings-sitting": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                sitting: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    /** @default null */
                    minutes?: number | null;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: null;
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-sittings": {
        parameters: {
            query?: {
                question?: number;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["Opened"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-releases-id-sittings": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["Opened"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-statements": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/x-ndjson": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-together": {
        parameters: {
            query?: {
                question?: number;
                from?: number;
                beside?: string;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["TogetherView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-releases-id-withdrawn": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    withdrawn: boolean;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["SettingsView"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["LearnerRelease"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-releases": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 256 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    courseId: string;
                    questionId?: string | null;
                    revision?: number;
                    setId?: string | null;
                    settings?: {
                        title?: string;
                        /**
                         * Format: uuid
                         * @default null
                         */
                        unitId?: string | null;
                        /**
                         * Format: date-time
                         * @description In UTC, as 2026-11-25T10:00:00Z
                         * @default null
                         */
                        opensAt?: string | null;
                        /**
                         * Format: date-time
                         * @description In UTC, as 2026-11-25T10:00:00Z
                         * @default null
                         */
                        dueAt?: string | null;
                        /**
                         * Format: date-time
                         * @description In UTC, as 2026-11-25T10:00:00Z
                         * @default null
                         */
                        closesAt?: string | null;
                        /** @default null */
                        minutes?: number | null;
                        sittings: number | null;
                        /** @enum {unknown} */
                        counts: "best" | "last" | "first" | "average";
                        practice: boolean;
                        /**
                         * Format: uuid
                         * @default null
                         */
                        categoryId?: string | null;
                        /** @default null */
                        passMark?: number | null;
                        /** @enum {unknown} */
                        feedbackLevel: "nothing" | "verdicts" | "feedback" | "modelAnswer";
                        /** @enum {unknown} */
                        feedbackTime: "atOnce" | "finished" | "closed";
                        audience?: {
                            groups: string[];
                            learners: string[];
                        } | null;
                    };
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                            job: null | string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-search": {
        parameters: {
            query?: {
                words?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["Found"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-sets-id-copies": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-sets-id-restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                        };
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-sets-id-whole": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["WholeSet"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-sets-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["SetView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-sets-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 2 MiB. */
        requestBody: {
            content: {
                "application/json": {
                    title: string;
                    goBack: boolean;
                    aids?: ("calculator" | "readAloud")[];
                    sections: {
                        title: string;
                        draw?: {
                            count: number;
                            points: number;
                        } | null;
                        shuffled?: boolean;
                        questions: {
                            id: string;
                            /** @default null */
                            points?: number | null;
                        }[];
                    }[];
                    sources?: {
                        id: string;
                        title: string;
                        text: string;
                        medium?: {
                            hash: string;
                            /** @enum {string} */
                            kind: "picture" | "sound" | "film";
                            description: string;
                        } | null;
                        captions: string;
                        address?: string;
                        questions: string[];
                    }[];
                    from: number;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                            revision: number;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-sets-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                        };
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-sets": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["SetRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-sets": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    title: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-shelves-id-shares": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    username: string;
                    right: ("see" | "use" | "edit") | null;
                    from: ("see" | "use" | "edit") | null;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: null;
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "delete-shelves-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            questions: string[];
                            shelves: string[];
                        };
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "patch-shelves-id": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    title?: string;
                    /** Format: uuid */
                    parentId?: string | null;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: null;
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-shelves": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["ShelfRow"][];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-shelves": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    id: string;
                    title: string;
                    /** Format: uuid */
                    parentId: string | null;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            id: string;
                        };
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-sittings-id-at": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    question: number;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["SittingView"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-sittings-id-finish": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["Summary"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-sittings-id-media-name": {
        parameters: {
            query?: {
                q?: number;
                w?: number | null;
                captions?: boolean;
            };
            header?: never;
            path: {
                id: string;
                name: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "image/*": unknown;
                    "audio/*": unknown;
                    "video/*": unknown;
                    "text/vtt": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-sittings-id-moves": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        /** @description At most 256 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    question: number;
                    after: number;
                    moves: ({
                        id: string;
                        /** @enum {unknown} */
                        kind: "reset" | "check" | "hint";
                    } | {
                        id: string;
                        /** @enum {unknown} */
                        kind: "put";
                        zone: string;
                        text: string;
                    } | {
                        id: string;
                        /** @enum {unknown} */
                        kind: "put";
                        item: string;
                        copy: number;
                        zone: string | null;
                        at?: number;
                    } | {
                        id: string;
                        /** @enum {unknown} */
                        kind: "drop";
                        item: string;
                        copy: number;
                        x: number;
                        y: number;
                        px: number;
                        py: number;
                        at?: number;
                    })[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["MovesAnswer"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            404: components["responses"]["notFound"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-sittings-id-sources-n": {
        parameters: {
            query?: {
                w?: number | null;
                captions?: boolean;
            };
            header?: never;
            path: {
                id: string;
                n: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "image/*": unknown;
                    "audio/*": unknown;
                    "video/*": unknown;
                    "text/vtt": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-tags": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            tag: string;
                            questions: number;
                        }[];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-today": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["TodayView"];
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            default: components["responses"]["anyOther"];
        };
    };
    "put-today": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: {
                            /** Format: date-time */
                            since: string;
                        };
                    };
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-courses-id-gradebook-csv": {
        parameters: {
            query?: {
                bom?: boolean;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/csv": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-lti-continue": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/x-www-form-urlencoded": unknown;
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/html": unknown;
                };
            };
            403: components["responses"]["crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["notTaken"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-lti-deep-link": {
        parameters: {
            query: {
                launch: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/html": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-lti-deep-link": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    launch: string;
                    questionId?: string;
                    setId?: string;
                    releaseId?: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        /** @constant */
                        ok: true;
                        value: components["schemas"]["DeepLinked"];
                    };
                };
            };
            400: components["responses"]["badRequest"];
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed-crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-lti-jwks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            default: components["responses"]["anyOther"];
        };
    };
    "post-lti-launch": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/x-www-form-urlencoded": unknown;
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/html": unknown;
                };
            };
            403: components["responses"]["crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["notTaken"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-lti-login": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/html": unknown;
                };
            };
            default: components["responses"]["anyOther"];
        };
    };
    "post-lti-login": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 64 KiB. */
        requestBody: {
            content: {
                "application/x-www-form-urlencoded": unknown;
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/html": unknown;
                };
            };
            403: components["responses"]["crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["notTaken"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-media-hash": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                hash: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "image/*": unknown;
                    "audio/*": unknown;
                    "video/*": unknown;
                    "font/woff2": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-answers-csv": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/csv": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-answers-jsonl": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/x-ndjson": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-releases-id-results-csv": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/csv": unknown;
                };
            };
            401: components["responses"]["notSignedIn"];
            403: components["responses"]["notAllowed"];
            404: components["responses"]["notFound"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-stand-in-film": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/html": unknown;
                };
            };
            default: components["responses"]["anyOther"];
        };
    };
    "post-auth-sign-in-username": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 16 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    username: string;
                    password: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            400: components["responses"]["badRequest"];
            403: components["responses"]["crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-auth-sign-in-pictures": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 16 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    code: string;
                    name: string;
                    pictures: ("leaf" | "sprout" | "flower" | "tree" | "apple" | "carrot" | "cherry" | "grape" | "wheat" | "sun" | "cloud" | "moon" | "bird" | "fish" | "snail" | "beetle")[];
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            400: components["responses"]["badRequest"];
            403: components["responses"]["crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-auth-sign-out": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            403: components["responses"]["crossSite"];
            default: components["responses"]["anyOther"];
        };
    };
    "get-auth-get-session": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            default: components["responses"]["anyOther"];
        };
    };
    "post-auth-change-password": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 16 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    currentPassword: string;
                    newPassword: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            400: components["responses"]["badRequest"];
            403: components["responses"]["crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-auth-two-factor-enable": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 16 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    password: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            400: components["responses"]["badRequest"];
            403: components["responses"]["crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-auth-two-factor-disable": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 16 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    password: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            400: components["responses"]["badRequest"];
            403: components["responses"]["crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-auth-two-factor-verify-totp": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 16 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    code: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            400: components["responses"]["badRequest"];
            403: components["responses"]["crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-auth-two-factor-verify-backup-code": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 16 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    code: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            400: components["responses"]["badRequest"];
            403: components["responses"]["crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
    "post-auth-two-factor-generate-backup-codes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description At most 16 KiB. */
        requestBody: {
            content: {
                "application/json": {
                    password: string;
                };
            };
        };
        responses: {
            /** @description Done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": unknown;
                };
            };
            400: components["responses"]["badRequest"];
            403: components["responses"]["crossSite"];
            413: components["responses"]["tooLarge"];
            422: components["responses"]["invalid"];
            default: components["responses"]["anyOther"];
        };
    };
}
